import type { ComponentProps } from 'react';
import { buttonClass, type ButtonLook } from './buttonClass';

type Props = ComponentProps<'button'> & { look?: ButtonLook };

export function Button({ look = 'plain', type = 'button', className = '', ...rest }: Props) {
  return <button {...rest} type={type} className={`${buttonClass(look)} ${className}`} />;
}
