import { useEffect, useRef, useState, type RefObject } from 'react';

/** How far from what can be seen something counts as seen, so that it is there in time. */
const NEAR = '300px';

const awaited = new WeakMap<Element, () => void>();
let sight: IntersectionObserver | undefined;

/** One observer for all: a list has hundreds of them. */
function seer(): IntersectionObserver {
  sight ??= new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries) if (isIntersecting) awaited.get(target)?.();
    },
    { rootMargin: NEAR },
  );
  return sight;
}

/**
 * Whether an element was seen yet.
 *
 * @param surely it stands where it is seen as soon as it is there, and need not be watched for
 */
export function useSeen<T extends HTMLElement>(surely = false): [RefObject<T | null>, boolean] {
  const place = useRef<T>(null);
  const [seen, setSeen] = useState(surely);
  useEffect(() => {
    const element = place.current;
    if (!element || seen) return;
    awaited.set(element, () => {
      setSeen(true);
    });
    seer().observe(element);
    return () => {
      awaited.delete(element);
      seer().unobserve(element);
    };
  }, [seen]);
  return [place, seen];
}
