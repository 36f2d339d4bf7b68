import { useEffect, useRef, useState, type RefObject } from 'react';

/** How far from what can be seen something counts as seen, so that it is there in time. */
const NEAR = '300px';

/** Whether an element was seen yet, and how wide it is, in px. */
export function useSeen<T extends HTMLElement>(): [RefObject<T | null>, boolean, number] {
  const place = useRef<T>(null);
  const [seen, setSeen] = useState(false);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const sight = new IntersectionObserver(
      (entries) => {
        if (entries.some((entry) => entry.isIntersecting)) {
          setSeen(true);
          sight.disconnect();
        }
      },
      { rootMargin: NEAR },
    );
    const size = new ResizeObserver(() => {
      setWidth(element.clientWidth);
    });
    sight.observe(element);
    size.observe(element);
    return () => {
      sight.disconnect();
      size.disconnect();
    };
  }, []);
  return [place, seen, width];
}
