/** The page to go to after signing in: one of ours, named by its path. Anything else is the first page. */
export function wayBack(to: string): string {
  const own = 'http://own.invalid';
  if (!to.startsWith('/') || to.length > 2000 || !URL.canParse(to, own)) return '/';
  const url = new URL(to, own);
  // "//elsewhere" and "/\elsewhere" begin with a stroke too, and lead to another site.
  return url.origin === own && !url.pathname.startsWith('//') && url.pathname !== '/sign-in'
    ? url.pathname + url.search
    : '/';
}
