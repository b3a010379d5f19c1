import { Link } from './link';
import type { ComponentProps } from 'react';
import { buttonClass, type ButtonLook } from './button-class';

/** A link that looks like a button. Apart from it, so that pages without the framework have buttons too. */
export function ButtonLink({
  look,
  className,
  ...rest
}: ComponentProps<typeof Link> & { look?: ButtonLook }) {
  return <Link className={buttonClass(look, className)} {...rest} />;
}
