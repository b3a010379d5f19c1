/** The name in a host header, without its port; null for what is none. */
function nameOf(host: string): string | null {
  const found = /^(\[[0-9a-f:.]+\]|[^:/@\s]+)(?::\d+)?$/i.exec(host.trim());
  return found ? found[1]!.toLowerCase().replace(/\.$/, '') : null;
}

const loopback: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];

/** The names a list of host names holds: capitals, ports and the blanks around commas do not matter. */
const named = (list: string): (string | null)[] =>
  list
    .split(',')
    .filter((one) => one.trim() !== '')
    .map(nameOf);

/** Does this server answer to a host? To loopback, and to what `VOWSTEP_ALLOWED_HOSTS` names. Keeps other sites from posing as us. */
export function hostAllowed(host: string | null, list = process.env.VOWSTEP_ALLOWED_HOSTS ?? ''): boolean {
  const name = nameOf(host ?? '');
  if (name === null) return false;
  return list.trim() === '*' || loopback.includes(name) || named(list).includes(name);
}

/**
 * Does a request that changes or costs something come from one of our own pages? Browsers name the page's origin on every
 * such request; where they name nothing, it is no browser (a script on this computer), which no site can make act.
 */
export function ownOrigin(headers: Headers, list = process.env.VOWSTEP_ALLOWED_HOSTS ?? ''): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return false;
  const origin = headers.get('origin');
  if (origin === null) return true;
  const parsed = URL.canParse(origin) ? new URL(origin) : null;
  // An origin says more than a host: a page of another port on this computer is another page.
  if (parsed === null || parsed.origin !== origin) return false;
  // What stands before us says what was asked for; a page of another site cannot make a browser say that.
  const asked = ['host', 'x-forwarded-host'].map((name) => headers.get(name)?.trim().toLowerCase());
  // Where it does not say so, the name must be one that was named for us.
  return asked.includes(parsed.host) || named(list).includes(parsed.hostname);
}
