import { NextResponse, type NextRequest } from 'next/server';

/** Hosts this server answers to: loopback, and what `VOWSTEP_ALLOWED_HOSTS` names. Keeps other sites from posing as us. */
function hostAllowed(host: string | null): boolean {
  if (process.env.VOWSTEP_ALLOWED_HOSTS === '*') return true;
  const name = host?.replace(/:\d+$/, '').toLowerCase() ?? '';
  const allowed = [
    'localhost',
    '127.0.0.1',
    '[::1]',
    ...(process.env.VOWSTEP_ALLOWED_HOSTS ?? '').split(','),
  ];
  return name !== '' && allowed.includes(name);
}

export function proxy(request: NextRequest): NextResponse {
  if (!hostAllowed(request.headers.get('host')))
    return new NextResponse(
      'This address is not one Vow Step answers to; name it in VOWSTEP_ALLOWED_HOSTS.\n',
      { status: 421 },
    );
  if (request.nextUrl.pathname.startsWith('/api/')) return NextResponse.next();

  const nonce = btoa(crypto.randomUUID());
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' ${dev ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    // Positions and sizes drawn to scale are style attributes; they cannot run anything.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
}

export const config = { matcher: ['/((?!_next/static|icon.svg|calls/|sw.js).*)'] };
