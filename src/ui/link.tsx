import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link within the book. What it leads to is asked for when it is followed: every page is made from what the book says at
 * that moment, so what was fetched ahead is not shown, and a page with forty links would ask the server forty times.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
