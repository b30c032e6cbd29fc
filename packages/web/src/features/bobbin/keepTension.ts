import type { MeasureLimit } from '@nodo/contract';
import { answersTo } from '../bench/answersTo.ts';
import { type InstrumentBench, mayDo } from '../instrument/instrumentBench.ts';

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
  const { onTicket, model } = bench;
  const known = model.checks.get(check);
  if (!onTicket || !known) return;
  const stand = standOf(tension, limit);
  const [low, high] =
    check === 'case-drop' ? ['drop-free', 'drop-holds'] : ['gauge-low', 'gauge-high'];
  const seen = { low, high, good: undefined }[stand];
  const isSet = onTicket.ticket.deeds.some(({ action }) => action === 'case-screw-turned');
  if (mayDo(bench)) {
    onTicket.record('measured', {
      quantity: 'bobbin-tension',
      value: Math.round(tension * 10) / 10,
      when: isSet ? 'set' : 'found',
      limit,
    });
  }
  onTicket.record('findings-recorded', {
    check,
    answers: answersTo(known, new Set([seen])),
  });
}
