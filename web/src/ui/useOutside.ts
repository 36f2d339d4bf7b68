import { useEffect, type RefObject } from 'react';

/** Tells when the pointer is pressed anywhere but inside an element, so that it can give way. */
export function useOutside(inside: RefObject<HTMLElement | null>, onOutside: () => void) {
  useEffect(() => {
    const press = (event: PointerEvent) => {
      if (!inside.current?.contains(event.target as Node)) onOutside();
    };
    document.addEventListener('pointerdown', press);
    return () => {
      document.removeEventListener('pointerdown', press);
    };
  }, [inside, onOutside]);
}
