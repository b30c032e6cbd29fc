import { whereValid } from '@nodo/core';
import type { FabricId } from '@nodo/knowledge';
import { finenessOf, type SewingWork, type ThreadSpec, type WorkCommand } from '@nodo/ticket';
import { readNumber } from '../../../messages/typed.ts';
import type { TypedThread } from './ThreadFields.tsx';

/** What was typed of the work. */
export interface TypedWork {
  readonly fabric: FabricId;
  readonly layers: string;
  readonly thickness: string;
  readonly crossing: boolean;
}

export function typedWork(work: WorkCommand | undefined): TypedWork {
  return {
    fabric: work?.fabric ?? 'weave',
    layers: String(work?.layers ?? 2),
    thickness: String(work?.thickness ?? 0.3),
    crossing: work?.crossing ?? false,
  };
}

/** The thread that was typed; undefined while a number of it is missing. */
function threadSpecOf(typed: TypedThread): ThreadSpec | undefined {
  const positive = (text: string) => {
    const value = readNumber(text);
    return value !== undefined && value > 0 ? value : undefined;
  };
  switch (typed.by) {
    case 'label': {
      const number = positive(typed.number);
      const plies = positive(typed.plies);
      if (number === undefined || plies === undefined) return undefined;
      return { by: 'label', unit: typed.unit, number, plies };
    }
    case 'across': {
      const millimetres = positive(typed.across);
      return millimetres === undefined ? undefined : { by: 'across', millimetres };
    }
    case 'weight': {
      const grams = positive(typed.grams);
      const metres = positive(typed.metres);
      if (grams === undefined || metres === undefined) return undefined;
      return { by: 'weight', grams, metres };
    }
  }
}

const THINNEST = 0.02;
const THICKEST = 10;
const MOST_LAYERS = 40;

/** The work as it was typed; why not, while it is none. */
export function workTyped(
  typed: TypedWork,
  thread: TypedThread,
): SewingWork | 'incomplete' | 'impossible' {
  const spec = threadSpecOf(thread);
  const layers = readNumber(typed.layers);
  const thickness = readNumber(typed.thickness);
  if (spec === undefined || layers === undefined || thickness === undefined) return 'incomplete';
  if (!Number.isInteger(layers) || layers < 1 || layers > MOST_LAYERS) return 'incomplete';
  if (thickness < THINNEST || thickness > THICKEST) return 'incomplete';
  const work: WorkCommand = {
    fabric: typed.fabric,
    layers,
    thickness,
    crossing: typed.crossing,
    threadKind: thread.kind,
    fibre: thread.fibre,
    thread: spec,
  };
  return whereValid(() => ({ ...work, tex: finenessOf(work) })) ?? 'impossible';
}
