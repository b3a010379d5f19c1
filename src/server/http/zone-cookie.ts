import { cookies } from 'next/headers';
import { isFirstDay, type FirstDay } from '@/core/plan/weekly';
import { isLengths, type Lengths } from '@/core/base/units';
import { isZone } from '../base/zone';

/** The cookie in which a browser says where its coach is: the name of a time zone. */
const zoneCookie = 'vowstep-zone';

/** The cookie in which a browser says what day its coach's weeks begin with. */
const weekCookie = 'vowstep-week';

/** The cookie in which a browser says how its coach reads lengths. */
const lengthsCookie = 'vowstep-lengths';

/** How a request's coach reads lengths; undefined where nothing sound was said. */
export async function lengthsOfRequest(): Promise<Lengths | undefined> {
  const said = (await cookies()).get(lengthsCookie)?.value;
  return isLengths(said) ? said : undefined;
}

/** What day the weeks of a request's coach begin with; undefined where nothing sound was said. */
export async function firstDayOfRequest(): Promise<FirstDay | undefined> {
  const said = (await cookies()).get(weekCookie)?.value;
  return isFirstDay(said) ? said : undefined;
}

/** Where the coach of a request is; undefined where its browser has not said, or said nonsense. */
export async function zoneOfRequest(): Promise<string | undefined> {
  const said = (await cookies()).get(zoneCookie)?.value;
  return isZone(said) ? said : undefined;
}
