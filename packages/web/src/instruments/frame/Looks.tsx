import type { CheckId, FindingId } from '@nodo/knowledge';
import { m } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { Choices } from './bits.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';
import { keepLook } from './instrumentBench.ts';
import { KeepButton } from './KeepButton.tsx';

/** A way of judging the case that shows no number: what it did, kept as a finding. */
export function Looks<Answer extends string>({
  words,
  check,
  findings,
  said,
  onSay,
}: {
  readonly words: {
    readonly how: string;
    readonly question: string;
    readonly answers: Readonly<Record<Answer, string>>;
  };
  readonly check: CheckId;
  /** The finding that an answer is; undefined for the sound one. */
  readonly findings: Readonly<Record<Answer, FindingId | undefined>>;
  readonly said: Answer | undefined;
  readonly onSay: (said: Answer | undefined) => void;
}) {
  const bench = useInstrumentBench();
  const keep = () => {
    if (said !== undefined) keepLook(bench, check, [findings[said]]);
  };
  return (
    <div className="flex flex-col gap-3">
      <p className="max-w-prose leading-snug">{words.how}</p>
      <Choices
        legend={words.question}
        value={said}
        options={(Object.keys(findings) as Answer[]).map(
          (one) => [one, words.answers[one]] as const,
        )}
        onChoose={onSay}
      />
      <KeepButton
        label={instruments.bobbin.tension.keep}
        lacks={said === undefined && m.shell.lacks.choice}
        onKeep={keep}
      />
    </div>
  );
}
