import type { CheckId, Family, FamilyCheck } from '@nodo/knowledge';
import { startTransition, useEffect, useState } from 'react';
import { PlaceBeside, PlaceDrawing } from './PlaceDrawing.tsx';

/** Checks that are done with the presser down; in any other it stands up. */
const PRESSER_DOWN: ReadonlySet<string> = new Set<CheckId>(['pull-foot-down']);

interface CheckDrawingProps {
  readonly check: FamilyCheck;
  readonly family: Family;
}

/** Where the hand goes in a check, and how the machine stands for it. */
export function CheckDrawing(props: CheckDrawingProps) {
  return <PlaceDrawing {...asDrawn(props)} />;
}

/** The same beside a few lines of text. */
export function CheckBeside(props: CheckDrawingProps) {
  // The question and its answers are rendered first, the picture with the next frame.
  const [isDue, setDue] = useState(false);
  useEffect(() => startTransition(() => setDue(true)), []);
  return isDue ? <PlaceBeside {...asDrawn(props)} /> : <div className="h-38 w-40" />;
}

function asDrawn({ check, family }: CheckDrawingProps) {
  return { family, place: check.place, presserDown: PRESSER_DOWN.has(check.id) };
}
