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
