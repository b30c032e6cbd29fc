import { type SVGProps, useLayoutEffect, useRef, useState } from 'react';

/** Smaller than this, in pixels on the screen, nothing that is written in a drawing can be read at a bench. */
const LEAST_PX = 14;

/**
 * A word in a drawing: as large as it was drawn, never too small to read however narrow the drawing is, and whole:
 * what would reach over an edge is moved in.
 */
export function DrawnText({
  size,
  ...rest
}: Omit<SVGProps<SVGTextElement>, 'fontSize' | 'ref' | 'transform'> & {
  /** In the units of the drawing. */
  readonly size: number;
}) {
  const ref = useRef<SVGTextElement>(null);
  const [least, setLeast] = useState(0);
  const [shift, setShift] = useState(0);
  useLayoutEffect(() => {
    const drawing = ref.current?.ownerSVGElement;
    if (!ref.current || !drawing) return undefined;
    const text = ref.current;
    const measure = () => {
      const matrix = text.getScreenCTM();
      const perUnit = matrix ? Math.hypot(matrix.a, matrix.b) : 0;
      if (perUnit === 0) return;
      // Of the letters as they are about to be: those on the screen may be smaller still.
      const needed = LEAST_PX / perUnit;
      const drawn = Number.parseFloat(getComputedStyle(text).fontSize);
      const { x: shown, width } = text.getBBox();
      const x = shown - Number(text.getAttribute('dx') ?? 0);
      const grown = Math.max(size, needed) / drawn;
      const middle = anchorOf(text, x, width);
      const [from, until] = [middle - (middle - x) * grown, middle + (x + width - middle) * grown];
      const edge = drawing.getBoundingClientRect();
      const toScreen = (at: number) => new DOMPoint(at, 0).matrixTransform(matrix ?? undefined).x;
      const [left, right] = [toScreen(from), toScreen(until)].toSorted((a, b) => a - b);
      if (left === undefined || right === undefined) return;
      const over = Math.max(0, edge.left - left) - Math.max(0, right - edge.right);
      // A mirrored drawing counts the other way round.
      setShift(over / (matrix && matrix.a < 0 ? -perUnit : perUnit));
      setLeast(needed);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(drawing);
    return () => observer.disconnect();
  }, [size]);
  return (
    <text
      ref={ref}
      fontSize={Math.max(size, least)}
      dx={shift === 0 ? undefined : shift}
      {...rest}
    />
  );
}

/** The point from which a text grows. */
function anchorOf(text: SVGTextElement, x: number, width: number): number {
  const anchor = getComputedStyle(text).textAnchor;
  if (anchor === 'middle') return x + width / 2;
  return anchor === 'end' ? x + width : x;
}
