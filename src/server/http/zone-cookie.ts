import { cookies } from 'next/headers';
import { isZone } from '../zone';

/** The cookie in which a browser says where its coach is: the name of a time zone. */
const zoneCookie = 'vowstep-zone';

/** Where the coach of a request is; undefined where its browser has not said, or said nonsense. */
export async function zoneOfRequest(): Promise<string | undefined> {
  const said = (await cookies()).get(zoneCookie)?.value;
  return isZone(said) ? said : undefined;
}
