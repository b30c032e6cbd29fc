import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot, keepAction, mayDo, statusOf } from '../../frame/instrumentBench.ts';
import { Looks } from '../../frame/Looks.tsx';

/** Lint under the spring of the case; what is backed off for it is counted. */
export function SpringSection({
  said,
  onSay,
}: {
  readonly said: 'clean' | 'lint' | undefined;
  readonly onSay: (said: 'clean' | 'lint' | undefined) => void;
}) {
  const bench = useInstrumentBench();
  const words = instruments.bobbinCase.spring;
  return (
    <section aria-label={words.title} className="flex flex-col items-start gap-2">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <Looks
        words={words}
        said={said}
        onSay={onSay}
        check="case-spring"
        findings={{ clean: undefined, lint: 'spring-lint' }}
      />
      {statusOf(bench, 'case-spring') === 'found' && mayDo(bench) && (
        <Button onClick={() => keepAction(bench, 'case-spring-cleaned')}>{words.done}</Button>
      )}
      <TextLink to={`${instrumentRoot(bench, 'bobbin')}/tension`}>{words.screw}</TextLink>
    </section>
  );
}
