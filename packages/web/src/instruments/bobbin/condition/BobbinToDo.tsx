import type { ActionId, CheckId } from '@nodo/knowledge';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { keepAction, mayDo, statusOf } from '../../frame/instrumentBench.ts';

/** What puts the bobbin right, by the check that found it wrong. */
const ENDS = [
  {
    action: 'bobbin-replaced',
    words: 'replaced',
    checks: ['bobbin-class', 'bobbin-wind', 'bobbin-rim'],
  },
  {
    action: 'bobbin-set-right',
    words: 'setRight',
    checks: ['bobbin-turn', 'bobbin-path', 'bobbin-tail'],
  },
] as const satisfies readonly { action: ActionId; words: string; checks: readonly CheckId[] }[];
const LOOKS: readonly CheckId[] = [
  'bobbin-wind',
  'bobbin-turn',
  'bobbin-path',
  'bobbin-tail',
  'bobbin-rim',
];

/** What is to be done about what the ticket says of the bobbin; that it is sound, once all of it is. */
export function BobbinToDo() {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCondition;
  const owed = ENDS.filter(({ checks }) =>
    checks.some((check) => statusOf(bench, check) === 'found'),
  );
  if (LOOKS.every((check) => statusOf(bench, check) === 'sound')) {
    return (
      <p className="border-l-4 border-below pl-4 text-lg font-semibold" aria-live="polite">
        {words.proven}
      </p>
    );
  }
  if (owed.length === 0 || !mayDo(bench)) return null;
  return (
    <section aria-label={words.todo} className="flex flex-col items-start gap-2">
      <h2 className="text-lg font-semibold">{words.todo}</h2>
      {owed.map(({ action, words: key }) => (
        <Button key={action} look="main" onClick={() => keepAction(bench, action)}>
          {words[key]}
        </Button>
      ))}
    </section>
  );
}
