/** The name in a host header, without its port; null for what is none. */
function nameOf(host: string): string | null {
  const found = /^(\[[0-9a-f:.]+\]|[^:/@\s]+)(?::\d+)?$/i.exec(host.trim());
  return found ? found[1]!.toLowerCase().replace(/\.$/, '') : null;
}

const loopback: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];

/** Is this a name by which a computer reaches itself only? */
export const isLoopback = (name: string): boolean => loopback.includes(name) || name === '::1';

/** The names a list of host names holds: capitals, ports and the blanks around commas do not matter. */
const named = (list: string): (string | null)[] =>
  list
    .split(',')
    .filter((one) => one.trim() !== '')
    .map(nameOf);

/** The host names of a list that can be read, `*` among them. */
export const hostsNamed = (list: string): string[] => named(list).filter((name) => name !== null);

/** Does this server answer to a host? To loopback, and to what `VOWSTEP_ALLOWED_HOSTS` names. Keeps other sites from posing as us. */
export function hostAllowed(host: string | null, list = process.env.VOWSTEP_ALLOWED_HOSTS ?? ''): boolean {
  const name = nameOf(host ?? '');
  if (name === null) return false;
  return list.trim() === '*' || loopback.includes(name) || named(list).includes(name);
}

/**
 * Does a request that changes or costs something come from one of our own pages: same scheme, host and port? Browsers name
 * the page's origin on every such request, over plain http too, where they say nothing else; where none is named, it is no
 * browser (a script on this computer), which no site can make act.
 * @param own the origin that was asked, as our own server says it; where there is none of ours, plain http at its host
 * @param list names this server answers to behind a proxy that does not pass on what was asked
 */
export function ownOrigin(
  headers: Headers,
  own = headers.get('x-vowstep-origin') ?? `http://${headers.get('host') ?? ''}`,
  list = process.env.VOWSTEP_PROXIED === '1' ? (process.env.VOWSTEP_ALLOWED_HOSTS ?? '') : '',
): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return false;
  const origin = headers.get('origin');
  if (origin === null) return true;
  const parsed = URL.canParse(origin) ? new URL(origin) : null;
  if (parsed === null || parsed.origin !== origin) return false;
  // Ports that go without saying are left out on both sides.
  if (URL.canParse(own) && new URL(own).origin === origin) return true;
  return parsed.protocol === 'https:' && behindProxy(list).includes(parsed.host);
}

/** The hosts of a list as an https address has them. */
const behindProxy = (list: string): string[] =>
  list
    .split(',')
    .map((one) => `https://${one.trim()}`)
    .filter((one) => URL.canParse(one))
    .map((one) => new URL(one).host);

/**
 * Is something read that another site's page put into itself (a picture, a script)? Whatever it costs, nobody asked for it;
 * a link somebody followed is another thing.
 */
export const isPutIn = (headers: Headers): boolean =>
  headers.get('sec-fetch-site') === 'cross-site' && headers.get('sec-fetch-mode') !== 'navigate';
