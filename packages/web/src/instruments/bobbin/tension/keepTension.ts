import type { ActionId } from '@nodo/knowledge';
import type { MeasureLimit } from '@nodo/ticket';
import { type InstrumentBench, keepLook, mayDo } from '../../frame/instrumentBench.ts';

/** What turns a tension found into a tension set. */
export const SCREW_TURNED: ActionId = 'case-screw-turned';

/** Where a tension lies to its limit. */
export function standOf(tension: number, { least, most }: MeasureLimit): 'low' | 'good' | 'high' {
  if (least !== null && tension < least) return 'low';
  return most !== null && tension > most ? 'high' : 'good';
}

/** Keeps a measured tension with its limit, and the finding that it makes of its check. */
export function keepTension(
  bench: InstrumentBench,
  check: 'case-drop' | 'case-gauge',
  tension: number,
  limit: MeasureLimit,
): void {
  const { onTicket } = bench;
  if (!onTicket) return;
  const stand = standOf(tension, limit);
  const [low, high] =
    check === 'case-drop'
      ? (['drop-free', 'drop-holds'] as const)
      : (['gauge-low', 'gauge-high'] as const);
  const seen = { low, high, good: undefined }[stand];
  const isSet = onTicket.ticket.performedActions.some(({ action }) => action === SCREW_TURNED);
  if (mayDo(bench)) {
    onTicket.record('measured', {
      quantity: 'bobbin-tension',
      value: Math.round(tension * 10) / 10,
      when: isSet ? 'set' : 'found',
      limit,
    });
  }
  keepLook(bench, check, [seen]);
}
