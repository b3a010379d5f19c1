import { networkInterfaces } from 'node:os';
import { hostAllowed, hostsNamed, isLoopback } from '../http/hosts';

/** Where phones in the same network can open a link of ours. */
export interface Reach {
  /** Addresses that answer, best first: "http://192.168.1.20:3200"; empty where this computer answers to itself only. */
  readonly addresses: readonly string[];
  /** This computer's own addresses in its networks at which it does not answer: "192.168.1.20". */
  readonly closed: readonly string[];
  readonly port: string;
}

export interface Listening {
  /** Where it listens, and what it speaks. */
  readonly host: string;
  readonly port: string;
  readonly scheme: 'http' | 'https';
  /** True behind a proxy on this computer, which speaks https for it. */
  readonly proxied: boolean;
  /** `VOWSTEP_ALLOWED_HOSTS` */
  readonly allowed: string;
  /** This computer's IPv4 addresses besides loopback. */
  readonly own: readonly string[];
  /** The origin the asking page was opened at. */
  readonly asked: string;
}

const usualPort = { http: '80', https: '443' } as const;

/** At which addresses phones reach a server that listens like that. */
export function reachOf({ host, port, scheme, proxied, allowed, own, asked }: Listening): Reach {
  const names = hostsNamed(allowed).filter((name) => name !== '*' && !isLoopback(name));
  const at = (name: string) => `${scheme}://${name}${port === usualPort[scheme] ? '' : `:${port}`}`;
  const everywhere = host === '0.0.0.0' || host === '::';
  const listens = (address: string) => (everywhere || host === address) && hostAllowed(address, allowed);
  const open = isLoopback(host)
    ? []
    : [
        ...names.map(at),
        ...own.filter(listens).map(at),
        ...(everywhere || !hostAllowed(host, allowed) ? [] : [at(host)]),
      ];
  const behind = proxied ? names.map((name) => `https://${name}`) : [];
  // The address this page was opened at from elsewhere is the one that certainly works.
  const here = URL.canParse(asked) && !isLoopback(new URL(asked).hostname) ? [asked] : [];
  return {
    addresses: [...new Set([...here, ...behind, ...open])],
    closed: proxied ? [] : own.filter((address) => !(listens(address) && !isLoopback(host))),
    port,
  };
}

/** Given to machines that found nobody who gives addresses (RFC 3927): nobody else reaches them. */
const linkLocal = '169.254.';

/** How this server listens, as it was started. */
export function listening(asked: string): Listening {
  const { PORT = '3200', HOST = '127.0.0.1', VOWSTEP_TLS_CERT, VOWSTEP_PROXIED } = process.env;
  const own = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(
      ({ family, internal, address }) => family === 'IPv4' && !internal && !address.startsWith(linkLocal),
    );
  return {
    host: HOST,
    port: PORT,
    scheme: VOWSTEP_TLS_CERT ? 'https' : 'http',
    proxied: VOWSTEP_PROXIED === '1',
    allowed: process.env.VOWSTEP_ALLOWED_HOSTS ?? '',
    own: own.map(({ address }) => address),
    asked,
  };
}
