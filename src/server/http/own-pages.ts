/** Browsers say where a request comes from; another site has no business here. Null when it may go on. */
export function strangeOrigin(request: Request): Response | null {
  const site = request.headers.get('sec-fetch-site');
  if (!site || site === 'same-origin') return null;
  return Response.json(
    { problems: [{ field: 'origin', message: 'Touches are taken from Vow Step’s own pages only.' }] },
    { status: 403 },
  );
}

/** The place in the log a device asks to follow from: a whole number from 0; null for anything else. */
export function placeAsked(request: Request): number | null {
  const after = Number(new URL(request.url).searchParams.get('after') ?? '0');
  return Number.isSafeInteger(after) && after >= 0 ? after : null;
}

export const badPlace = () =>
  Response.json(
    { problems: [{ field: 'after', message: 'after must be a whole number from 0.' }] },
    { status: 400 },
  );

/** 250 events of the longest kind are some 75 KB, and a note in each 50 KB more. */
export const maxTouchBytes = 128 * 1024;
