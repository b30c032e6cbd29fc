import { useState } from 'react';
import { Link } from 'react-router';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { instrumentRoot } from '../../instrument/addresses.ts';
import { Choices } from '../../instrument/bits.tsx';
import {
  type InstrumentBench,
  keepLook,
  lookStanding,
  mayDo,
  mayKeep,
} from '../../instrument/instrumentBench.ts';

/** Lint under the spring of the case; what is backed off for it is counted. */
export function SpringSection({ bench }: { readonly bench: InstrumentBench }) {
  const [said, setSaid] = useState<'clean' | 'lint'>();
  const words = instruments.bobbinCase.spring;
  const keep = () => {
    if (keepLook(bench, 'case-spring', [said === 'lint' ? 'spring-lint' : undefined]))
      setSaid(undefined);
  };
  return (
    <section aria-label={words.title} className="flex flex-col gap-2">
      <h2 className="text-lg font-bold">{words.title}</h2>
      <p className="leading-snug">
        {words.how}{' '}
        <Link
          to={`${instrumentRoot(bench, 'bobbin')}/tension`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {words.screw}
        </Link>
      </p>
      <Choices
        legend={words.question}
        value={said}
        options={[
          ['clean', words.answers.clean],
          ['lint', words.answers.lint],
        ]}
        onChoose={setSaid}
      />
      <div className="flex flex-wrap gap-2">
        {mayKeep(bench) && (
          <Button look="main" disabled={said === undefined} onClick={keep}>
            {words.keep}
          </Button>
        )}
        {lookStanding(bench, 'case-spring') === 'found' && mayDo(bench) && (
          <Button
            onClick={() => bench.onTicket?.record('action-done', { action: 'case-spring-cleaned' })}
          >
            {words.done}
          </Button>
        )}
      </div>
    </section>
  );
}
