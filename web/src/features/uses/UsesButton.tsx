import { useRef, useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { WhereUsed, type Used } from './WhereUsed';

type Props = {
  of: Used;
  site: string;
  label?: string;
  children?: ReactNode;
};

/** Shows beside what one is at where something is used. */
export function UsesButton({ label = 'Where used', ...shown }: Props) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <Button
        ref={button}
        look="quiet"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        {label}
      </Button>
      {open && (
        <WhereUsed
          {...shown}
          onClose={() => {
            setOpen(false);
            button.current?.focus();
          }}
        />
      )}
    </>
  );
}
