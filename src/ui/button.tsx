import Link from 'next/link';
import type { ComponentProps } from 'react';
import { buttonClass, type ButtonLook } from './button-class';

export { buttonClass, type ButtonLook };

export function Button({
  look,
  className,
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: ButtonLook }) {
  return <button type={type} className={buttonClass(look, className)} {...rest} />;
}

export function ButtonLink({
  look,
  className,
  ...rest
}: ComponentProps<typeof Link> & { look?: ButtonLook }) {
  return <Link className={buttonClass(look, className)} {...rest} />;
}
