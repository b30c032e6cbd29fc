import type { FamilyCheck } from '@nodo/knowledge';
import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { Key } from '../../ui/Key.tsx';
import { useStepKeys } from '../../ui/useKeys.ts';
import { answersTo } from '../answersTo.ts';
import { PinnedAction } from '../StepBody.tsx';
import { useTicket } from '../TicketContext.tsx';
import { AnswerButton } from './AnswerButton.tsx';

/** From so many answers on they stand in two columns, so that all can be seen at once. */
const MANY_ANSWERS = 5;

/** Digit 1 is "nothing wrong"; then one digit a finding. */
export function Answers({
  check,
  onLogged,
}: {
  readonly check: FamilyCheck;
  /** After the answers were accepted. */
  readonly onLogged?: () => void;
}) {
  const { record } = useTicket();
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const words = later.bench.step;
  const isMany = check.findings.length + 1 >= MANY_ANSWERS;
  const oneTap = check.oneOf === true || check.findings.length === 1;

  const log = (yes: ReadonlySet<string>) => {
    const answers = answersTo(check, yes);
    if (record('findings-recorded', { check: check.id, answers })) onLogged?.();
  };
  const toggle = (id: string) => {
    const next = new Set(seen);
    if (!next.delete(id)) next.add(id);
    setSeen(next);
  };
  useStepKeys(seen.size > 0 ? { ['Enter']: () => log(seen) } : {});

  return (
    <div className={isMany ? 'grid gap-2 @xl:grid-cols-2' : 'flex flex-col gap-2'}>
      <AnswerButton
        digit={1}
        text={check.normal}
        onPress={() => log(new Set())}
        sound
        className={isMany ? '@xl:col-span-2' : ''}
      />
      {check.findings.map(({ id, answer }, index) => (
        <AnswerButton
          key={id}
          digit={index + 2}
          text={answer}
          pressed={oneTap ? undefined : seen.has(id)}
          onPress={() => (oneTap ? log(new Set([id])) : toggle(id))}
        />
      ))}
      {!oneTap && (
        <PinnedAction>
          <Button
            look="main"
            className="min-h-12 text-lg"
            disabled={seen.size === 0}
            onClick={() => log(seen)}
          >
            {seen.size === 0 ? words.tickFirst : words.logSeen(seen.size)}
            {seen.size > 0 && <Key>⏎</Key>}
          </Button>
        </PinnedAction>
      )}
    </div>
  );
}
