import type { CheckId, Family, FamilyCheck } from '@nodo/knowledge';
import { startTransition, useEffect, useState } from 'react';
import { PlaceDrawing } from './PlaceDrawing.tsx';

/** Checks that are done with the presser down; in any other it stands up. */
const PRESSER_DOWN: ReadonlySet<string> = new Set<CheckId>(['pull-foot-down']);

/** Where the hand goes in a check, and how the machine stands for it. */
export function CheckDrawing({
  check,
  family,
}: {
  readonly check: FamilyCheck;
  readonly family: Family;
}) {
  // The question and its answers are rendered first, the picture with the next frame.
  const [isDue, setDue] = useState(false);
  useEffect(() => startTransition(() => setDue(true)), []);
  if (!isDue) return <div className="min-h-40 w-60 shrink-0" />;
  return (
    <PlaceDrawing family={family} place={check.place} presserDown={PRESSER_DOWN.has(check.id)} />
  );
}
