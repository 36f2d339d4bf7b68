import { createContext, useContext, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

type Place = { element: HTMLElement | null; setElement: (element: HTMLElement | null) => void };

const BarContext = createContext<Place | null>(null);

function useBar(): Place {
  const place = useContext(BarContext);
  if (!place) throw new Error('Bar parts must stand inside a BarProvider');
  return place;
}

export function BarProvider({ children }: { children: ReactNode }) {
  const [element, setElement] = useState<HTMLElement | null>(null);
  return <BarContext value={{ element, setElement }}>{children}</BarContext>;
}

/** Where the bar shows what a screen puts there. */
export function BarPlace() {
  const { setElement } = useBar();
  return (
    <div
      ref={setElement}
      className="flex-1 min-w-0 flex items-center justify-end gap-5 text-[13px] [&>*]:shrink-0"
    />
  );
}

/** A screen's own state and tools, shown in the bar at the top. */
export function BarSlot({ children }: { children: ReactNode }) {
  const { element } = useBar();
  return element ? createPortal(children, element) : null;
}
