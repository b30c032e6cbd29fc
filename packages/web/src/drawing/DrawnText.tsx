import { type SVGProps, useLayoutEffect, useRef, useState } from 'react';

/** Smaller than this, in pixels on the screen, nothing that is written in a drawing can be read at a bench. */
const LEAST_PX = 14;

/** A word in a drawing: as large as it was drawn, and never too small to read, however narrow the drawing is. */
export function DrawnText({
  size,
  ...rest
}: Omit<SVGProps<SVGTextElement>, 'fontSize' | 'ref'> & {
  /** In the units of the drawing. */
  readonly size: number;
}) {
  const ref = useRef<SVGTextElement>(null);
  const [least, setLeast] = useState(0);
  useLayoutEffect(() => {
    const text = ref.current;
    const drawing = text?.ownerSVGElement;
    if (!text || !drawing) return undefined;
    const measure = () => {
      const matrix = text.getScreenCTM();
      const perUnit = matrix ? Math.hypot(matrix.a, matrix.b) : 0;
      if (perUnit > 0) setLeast(LEAST_PX / perUnit);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(drawing);
    return () => observer.disconnect();
  }, []);
  return <text ref={ref} fontSize={Math.max(size, least)} {...rest} />;
}
