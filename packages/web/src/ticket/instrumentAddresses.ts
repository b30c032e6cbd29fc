import type { CheckId } from '@nodo/knowledge';

type Part = readonly [
  instrument: 'needle' | 'bobbin' | 'stitch' | 'tension' | 'sample',
  part: string,
];

/** Which part of which instrument measures for a check. */
const MEASURED_BY: Readonly<Partial<Record<string, Part>>> = {
  'needle-clamp': ['needle', 'seat'],
  'needle-seat': ['needle', 'seat'],
  'needle-facing': ['needle', 'seat'],
  'needle-square': ['needle', 'seat'],
  'needle-straight': ['needle', 'condition'],
  'needle-nail': ['needle', 'condition'],
  'needle-loupe': ['needle', 'condition'],
  'needle-gum': ['needle', 'condition'],
  'needle-age': ['needle', 'wear'],
  'needle-match': ['needle', 'fit'],
  'bobbin-class': ['bobbin', 'which'],
  'bobbin-wind': ['bobbin', 'condition'],
  'bobbin-turn': ['bobbin', 'condition'],
  'bobbin-path': ['bobbin', 'condition'],
  'bobbin-tail': ['bobbin', 'condition'],
  'bobbin-rim': ['bobbin', 'condition'],
  'other-bobbin-sew': ['bobbin', 'condition'],
  'case-seat': ['bobbin', 'case'],
  'case-spring': ['bobbin', 'case'],
  'case-gap': ['bobbin', 'case'],
  'hand-turn': ['bobbin', 'case'],
  'turn-without-bobbin': ['bobbin', 'case'],
  'turn-without-case': ['bobbin', 'case'],
  'foot-surface': ['bobbin', 'marks?on=foot'],
  'plate-surface': ['bobbin', 'marks?on=plate-top'],
  'case-surface': ['bobbin', 'marks?on=case-outside'],
  'hook-surface': ['bobbin', 'marks?on=hook'],
  'case-pull': ['bobbin', 'tension'],
  'case-drop': ['bobbin', 'tension'],
  'case-gauge': ['bobbin', 'tension'],
  'case-stand': ['bobbin', 'tension'],
  'pull-foot-up': ['tension', 'pull'],
  'pull-foot-down': ['tension', 'pull'],
  'dial-sweep': ['tension', 'pull'],
  'mid-dial-sew': ['tension', 'balance'],
  'path-look': ['tension', 'path'],
  'check-spring': ['tension', 'path'],
  'found-sew': ['sample', 'read?check=found-sew'],
  'standard-straight': ['sample', 'read?check=standard-straight'],
  'standard-zigzag': ['sample', 'read?check=standard-zigzag'],
  timing: ['stitch', 'timing'],
  'bar-height': ['stitch', 'timing'],
  'hook-gap': ['stitch', 'timing'],
} satisfies Partial<Record<CheckId, Part>>;

/** Where an instrument measures for a check of this ticket; undefined where none does. */
export function instrumentFor(ticket: string, check: string): string | undefined {
  const [instrument, part] = MEASURED_BY[check] ?? [];
  return instrument && part && `/bench/${ticket}/${instrument}/${part}`;
}

export function needleAddress(ticket: string, part: string): string {
  return `/bench/${ticket}/needle/${part}`;
}
