import type { ComponentProps } from 'react';
import { Link } from 'react-router';
import { buttonClass } from './buttonClass';

/** A link to where the next step is done, as high as the buttons beside it. */
export function ButtonLink({ className = '', ...rest }: ComponentProps<typeof Link>) {
  return <Link {...rest} className={`${buttonClass('main')} ${className}`} />;
}
