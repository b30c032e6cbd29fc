import { type Millimetres, needleSize, sizeName, stiffnessAgainst } from '@nodo/core';
import {
  type CheckId,
  givesWay,
  judgeNeedle,
  type NeedleFit,
  type NeedleVerdict,
} from '@nodo/knowledge';
import { needleLine } from '@nodo/shop';
import type { NeedleIn } from '@nodo/ticket';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { KeepButton } from '../../frame/KeepButton.tsx';

const MATCH: CheckId = 'needle-match';

/** The needle that was found, held against the one that would suit; what a wrong one would do. */
export function FoundAgainst({
  fit,
  thread,
  found,
}: {
  readonly fit: NeedleFit;
  readonly thread: Millimetres;
  readonly found: NeedleIn['needle'] | undefined;
}) {
  const bench = useInstrumentBench();
  const words = instruments.needle.fit;
  if (!found) {
    return (
      <div>
        <p>{words.foundNone}</p>
        <WouldDo />
      </div>
    );
  }
  const verdict = judgeNeedle(found, fit, thread);
  const { found: foundGives, chosen } = givesWay(found.size, fit.best);
  const say = (length: number) => write.figure(Math.round(length * 100) / 100);
  const times = stiffnessAgainst(fit.best, needleSize(found.size));
  const { onTicket, model } = bench;
  const keep = () => {
    const check = model.checks.get(MATCH);
    if (!check) return;
    const answers = Object.fromEntries(
      check.findings.flatMap(({ id }) =>
        id in verdict
          ? [[id, verdict[id as keyof NeedleVerdict] === 'wrong' ? 'yes' : 'no'] as const]
          : [],
      ),
    );
    onTicket?.record('findings-recorded', { check: MATCH, answers });
  };
  return (
    <section aria-label={words.found} className="border-t border-rule pt-3">
      <h2 className="font-semibold">{words.found}</h2>
      <p>{needleLine(found)}</p>
      <VerdictWords verdict={verdict} />
      {found.size !== fit.best && (
        <p className="mt-1 text-quiet">
          {words.givesWay(say(foundGives), say(chosen))} {words.stiffer(say(times))}{' '}
          <ProvenanceMark standing="derived" />
        </p>
      )}
      <WouldDo />
      <KeepButton label={words.keepVerdict} className="mt-2" onKeep={keep} look="plain" />
    </section>
  );
}

/** A needle of another size, else the one to take, held against the work. */
export function HeldAgainst({
  fit,
  thread,
  size,
}: {
  readonly fit: NeedleFit;
  readonly thread: Millimetres;
  readonly size: number;
}) {
  const [point = 'universal'] = fit.points;
  const [coating = 'chrome'] = fit.coatings;
  const verdict = judgeNeedle({ system: fit.system, size, point, coating }, fit, thread);
  const title = instruments.needle.fit.heldAgainst(sizeName(size));
  return (
    <section aria-label={title}>
      <h2 className="text-lg font-semibold">{title}</h2>
      <VerdictWords verdict={verdict} />
    </section>
  );
}

/** What is wrong with a needle, what will do, or that it suits. */
function VerdictWords({ verdict }: { readonly verdict: NeedleVerdict }) {
  const words = instruments.needle.fit;
  const respects = Object.keys(verdict) as (keyof NeedleVerdict)[];
  const wrong = respects.filter((id) => verdict[id] === 'wrong');
  const willDo = respects.flatMap((id) =>
    id !== 'system-wrong' && verdict[id] === 'will-do' ? [id] : [],
  );
  return (
    <ul className="mt-1 leading-snug">
      {wrong.map((id) => (
        <li key={id} className="font-semibold">
          {words.wrong[id]}
        </li>
      ))}
      {willDo.map((id) => (
        <li key={id}>{words.willDo[id]}</li>
      ))}
      {wrong.length === 0 && (
        <li className="font-semibold text-below">
          {willDo.length === 0 ? words.good : words.fair}
        </li>
      )}
    </ul>
  );
}

/** What each wrong choice leads to. */
function WouldDo() {
  const words = instruments.needle.fit;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {words.wouldDo}
      </summary>
      <ul className="list-disc pl-6 leading-snug">
        {Object.values(words.wrong).map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </details>
  );
}
