import type { Finding } from '@nodo/knowledge';
import type { later } from '../../messages/later.ts';

type GroupName = keyof typeof later.counter.groups;

const GROUP_OF: Readonly<Record<string, GroupName>> = {
  skip: 'stitch',
  nest: 'stitch',
  'nest-start': 'stitch',
  'loops-under': 'stitch',
  'loops-top': 'stitch',
  wander: 'stitch',
  erratic: 'stitch',
  'top-break': 'thread',
  shred: 'thread',
  'bobbin-break': 'thread',
  'no-pickup': 'thread',
  unthread: 'thread',
  'no-trim': 'thread',
  'needle-break': 'needle',
  'needle-strike': 'needle',
  pop: 'needle',
  rattle: 'needle',
  'fabric-hurt': 'needle',
  jam: 'motion',
  'no-run': 'motion',
  'motor-only': 'motion',
  hums: 'motion',
  dark: 'motion',
  'no-feed': 'motion',
  held: 'motion',
  'uneven-feed': 'motion',
};

const ORDER: readonly GroupName[] = ['stitch', 'thread', 'needle', 'motion', 'other'];

/** The complaints by what they are about; one that no group knows stands under "else". */
export function complaintGroups(findings: readonly Finding[]) {
  return ORDER.map((name) => ({
    name,
    findings: findings.filter(({ id }) => (GROUP_OF[id] ?? 'other') === name),
  })).filter(({ findings: inGroup }) => inGroup.length > 0);
}
