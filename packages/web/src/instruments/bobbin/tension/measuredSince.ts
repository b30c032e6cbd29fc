import type { CheckId } from '@nodo/knowledge';
import type { Ticket } from '@nodo/ticket';
import { SCREW_TURNED } from './keepTension.ts';

/** The checks that judge how firmly the case holds. */
const JUDGES: ReadonlySet<string> = new Set<CheckId>([
  'case-pull',
  'case-drop',
  'case-gauge',
  'case-stand',
]);

/** Whether the case screw was turned and nobody has measured or judged the tension since. */
export function owesTension({ performedActions, life, looks }: Ticket): boolean {
  const turned = performedActions.findLast(({ action }) => action === SCREW_TURNED)?.seq;
  if (turned === undefined) return false;
  const measured = life.measures.some(
    ({ quantity, seq }) => quantity === 'bobbin-tension' && seq > turned,
  );
  return !measured && !looks.some(({ check, seq }) => JUDGES.has(check) && seq > turned);
}
