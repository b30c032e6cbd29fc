import { useState } from 'react';
import { instruments } from '../../messages/instruments.ts';
import { Button } from '../../ui/Button.tsx';
import { Choices } from './bits.tsx';
import { type InstrumentBench, keepLook, mayKeep } from './instrumentBench.ts';

/** A way of judging the case that shows no number: what it did, kept as a finding. */
export function Looks<Answer extends string>({
  bench,
  words,
  check,
  findings,
}: {
  readonly bench: InstrumentBench;
  readonly words: {
    readonly how: string;
    readonly question: string;
    readonly answers: Readonly<Record<Answer, string>>;
  };
  readonly check: string;
  /** The finding that an answer is; undefined for the sound one. */
  readonly findings: Readonly<Record<Answer, string | undefined>>;
}) {
  const [said, setSaid] = useState<Answer>();
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
        onChoose={setSaid}
      />
      {mayKeep(bench) && (
        <Button look="main" className="self-start" disabled={said === undefined} onClick={keep}>
          {instruments.bobbin.tension.keep}
        </Button>
      )}
    </div>
  );
}
