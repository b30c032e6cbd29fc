import {
  COARSEST_GRIT,
  type DressingTool,
  dressingSteps,
  dressingToolsFor,
  LAST_GRITS,
  LOOK_AGAIN,
  type StruckPart,
  verdictOn,
  verdictOnPart,
} from '@nodo/knowledge';
import type { Mark } from '@nodo/ticket';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Caution } from '../../../ticket/check/Caution.tsx';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayDo, statusOf } from '../../frame/instrumentBench.ts';
import { endMarks, openOn } from './marksOn.ts';

/** What is done about the marks on a part: dressed step by step, or the part replaced; then looked at again. */
export function DressingGuide({
  part,
  numberOf,
}: {
  readonly part: StruckPart;
  readonly numberOf: (mark: Mark) => string;
}) {
  const bench = useInstrumentBench();
  const open = openOn(bench, part);
  const verdict = verdictOnPart(open.map(({ kind }) => kind));
  const toDress = open.filter(({ kind }) => verdictOn(kind) === 'dress');
  const words = instruments.marks;
  if (verdict === 'leave') return <LookAgain part={part} />;
  return (
    <>
      {verdict === 'replace' && (
        <section aria-label={words.verdicts.replace} className="border-l-4 border-hazard pl-4">
          <p className="font-semibold text-hazard">{words.replace.why}</p>
          {mayDo(bench) && (
            <Button
              look="main"
              className="mt-2"
              onClick={() => endMarks(bench, part, open, { how: 'replaced' })}
            >
              {words.replace[part]}
            </Button>
          )}
        </section>
      )}
      {toDress.length > 0 && (
        <HowToDress
          part={part}
          toDress={toDress}
          numberOf={numberOf}
          isReplaced={verdict === 'replace'}
        />
      )}
    </>
  );
}

function HowToDress({
  part,
  toDress,
  numberOf,
  isReplaced,
}: {
  readonly part: StruckPart;
  readonly toDress: readonly Mark[];
  readonly numberOf: (mark: Mark) => string;
  /** The part is to be replaced for another mark. */
  readonly isReplaced: boolean;
}) {
  const bench = useInstrumentBench();
  const [tool, setTool] = useState<DressingTool>('hand');
  const [grit, setGrit] = useState<number>(LAST_GRITS[0]);
  const words = instruments.marks.dress;
  const isPlasticCase = bench.model.family.traits.includes('plastic-case');
  const kind = toDress.some((mark) => mark.kind === 'raised') ? 'raised' : 'scratch';
  const steps = dressingSteps(kind, part, tool, grit);
  const lastGrit = steps.findLast(({ grit }) => grit > 0);
  return (
    <section aria-label={words.title} className="flex flex-col gap-2 border-l-4 border-own pl-4">
      <h2 className="text-lg font-semibold">
        {words.title} <ProvenanceMark standing="common-practice" />
      </h2>
      {isReplaced && <p>{words.replaceAnyway}</p>}
      <Choices
        legend={words.tool}
        value={tool}
        options={dressingToolsFor(part, isPlasticCase).map(
          (one) => [one, words.tools[one]] as const,
        )}
        onChoose={setTool}
      />
      {steps.some(({ eyes }) => eyes) && <Caution text={words.eyes} />}
      <ol className="list-decimal pl-6 leading-snug">
        {steps.map((step) => (
          <li key={`${step.id} ${step.grit}`}>
            {step.id !== 'abrasive'
              ? words.steps[step.id]
              : step === lastGrit
                ? words.steps.abrasiveLast(step.grit)
                : words.steps.abrasive(step.grit)}
          </li>
        ))}
      </ol>
      <p className="text-sm leading-snug text-quiet">
        {words.coarsest(COARSEST_GRIT)} {words.school} {part === 'hook' && words.hook}
      </p>
      <Choices
        legend={words.last}
        value={grit}
        options={LAST_GRITS.map((one) => [one, String(one)] as const)}
        onChoose={setGrit}
      />
      {mayDo(bench) && (
        <div className="flex flex-wrap gap-2">
          {toDress.map((mark) => (
            <Button
              key={mark.id}
              onClick={() => endMarks(bench, part, [mark], { how: 'dressed', tool, grit })}
            >
              {words.done} {numberOf(mark)}
            </Button>
          ))}
        </div>
      )}
      {mayDo(bench) && !isReplaced && (
        <p className="flex flex-wrap items-center gap-3">
          {words.deep}
          <Button onClick={() => endMarks(bench, part, openOn(bench, part), { how: 'replaced' })}>
            {instruments.marks.replace[part]}
          </Button>
        </p>
      )}
    </section>
  );
}

/** What is owed another look since something was done about marks on a part. */
function LookAgain({ part }: { readonly part: StruckPart }) {
  const bench = useInstrumentBench();
  const [surfaceCheck, ...others] = LOOK_AGAIN[part];
  if (surfaceCheck === undefined || statusOf(bench, surfaceCheck) !== 'again') return null;
  return (
    <section aria-label={instruments.marks.again.title} className="border-l-4 border-own pl-4">
      <h2 className="text-lg font-semibold">{instruments.marks.again.title}</h2>
      <CheckLinks checks={others} />
    </section>
  );
}
