import { type TensionSchool, USUAL_SCHOOL } from '@nodo/core';
import { useState } from 'react';
import { z } from 'zod';

/** The school of a bench stays on its device. */
const KEPT_UNDER = 'nodo-tension-school';

const school = z.object({
  steps: z.enum(['whole', 'half']),
  first: z.enum(['bobbin', 'dial']),
  ends: z.enum(['when-nothing-else', 'never', 'like-any']),
}) satisfies z.ZodType<TensionSchool>;

export function useSchool(): readonly [TensionSchool, (changed: Partial<TensionSchool>) => void] {
  const [chosen, setChosen] = useState(kept);
  const choose = (changed: Partial<TensionSchool>) => {
    const next = { ...chosen, ...changed };
    setChosen(next);
    try {
      localStorage.setItem(KEPT_UNDER, JSON.stringify(next));
    } catch {
      // It holds until the page is left.
    }
  };
  return [chosen, choose];
}

function kept(): TensionSchool {
  try {
    return school.parse(JSON.parse(localStorage.getItem(KEPT_UNDER) ?? ''));
  } catch {
    return USUAL_SCHOOL;
  }
}
