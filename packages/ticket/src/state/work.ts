import {
  FIBRES,
  FINENESS_UNITS,
  type Millimetres,
  mm,
  type Tex,
  tex,
  texByWeight,
  texOf,
  texOfDiameter,
  threadDiameter,
} from '@nodo/core';
import { FABRICS, type FabricId, THREAD_KINDS, type Work } from '@nodo/knowledge';
import { z } from 'zod';

const fabricIds = FABRICS.map(({ id }) => id) as [FabricId, ...FabricId[]];

/** How the thread's fineness is known: from its label, measured across, or weighed. */
const threadSpec = z.discriminatedUnion('by', [
  z.object({
    by: z.literal('label'),
    unit: z.enum(FINENESS_UNITS),
    number: z.number().positive().max(100_000),
    plies: z.number().int().min(1).max(12),
  }),
  z.object({ by: z.literal('across'), millimetres: z.number().positive().max(5) }),
  z.object({
    by: z.literal('weight'),
    grams: z.number().positive().max(10_000),
    metres: z.number().positive().max(100_000),
  }),
]);
export type ThreadSpec = z.infer<typeof threadSpec>;

/** What the customer sews, as far as it chooses needle and settings. */
export const workCommand = z.object({
  fabric: z.enum(fabricIds),
  layers: z.number().int().min(1).max(40),
  /** Thickness of one ply of fabric, pressed together, in millimetres. */
  thickness: z.number().min(0.02).max(10),
  crossing: z.boolean(),
  threadKind: z.enum(THREAD_KINDS),
  fibre: z.enum(FIBRES),
  thread: threadSpec,
});
export type WorkCommand = z.infer<typeof workCommand>;

/** With the fineness that came of it. */
export const sewingWork = workCommand.extend({ tex: z.number().positive() });
export type SewingWork = z.infer<typeof sewingWork>;

/**
 * The fineness of a thread, however it is known.
 * @throws CoreFault for what cannot be a sewing thread.
 */
export function finenessOf({ fibre, thread }: Pick<WorkCommand, 'fibre' | 'thread'>): Tex {
  switch (thread.by) {
    case 'label':
      return texOf(thread);
    case 'across':
      return texOfDiameter(mm(thread.millimetres), fibre);
    case 'weight':
      return texByWeight(thread.grams, thread.metres);
  }
}

/** The thread of a piece of work, across. */
export function threadAcross({
  tex: fineness,
  fibre,
}: Pick<SewingWork, 'tex' | 'fibre'>): Millimetres {
  return threadDiameter(tex(fineness), fibre);
}

/** The same, as what a needle is chosen by. */
export function workOf(work: SewingWork): Work {
  return { ...work, thread: threadAcross(work) };
}

/** A thread in one line: its label and the fineness that follows from it. */
export function threadLine(work: SewingWork): string {
  const { thread, fibre } = work;
  const across = `${threadAcross(work).toFixed(2)} mm`;
  const fineness = `tex ${work.tex.toFixed(work.tex < 10 ? 1 : 0)}`;
  const label =
    thread.by === 'label' && thread.unit !== 'tex'
      ? `${thread.unit} ${thread.number}${thread.plies > 1 ? `/${thread.plies}` : ''}, `
      : '';
  return `${label}${fineness}, ${fibre}, ${across}`;
}
