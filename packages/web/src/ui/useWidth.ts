import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

/** How wide an element is, in pixels, as it changes; 0 before it is there. */
export function useWidth<Of extends HTMLElement>(): readonly [number, RefObject<Of | null>] {
  const ref = useRef<Of>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    if (!ref.current) return undefined;
    const observer = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0));
    observer.observe(ref.current);
    setWidth(ref.current.getBoundingClientRect().width);
    return () => observer.disconnect();
  }, []);
  return [width, ref];
}
