import type { NoticeRecord } from '@nodo/api';

/** Below this a shop that takes photos has some weeks left. */
const LOW_BYTES = 1e9;

/** Says so as long as the disk that holds the shop's data has little room. @param left in bytes */
export function lowSpace(left: number, now: Date): readonly NoticeRecord[] {
  if (left >= LOW_BYTES) return [];
  const notice = { kind: 'low-space', megabytes: Math.floor(left / 1e6) } as const;
  return [{ id: null, at: now.toISOString(), notice }];
}
