import { DROVE_IT, type LikelyStrike, STRUCK_PARTS } from '@nodo/knowledge';
import { instruments } from '../../../messages/instruments.ts';
import { ProvenanceMark } from '../../../ticket/ProvenanceMark.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { statusOf } from '../../frame/instrumentBench.ts';
import { strikesNow, surfacesOf } from './marksOn.ts';

/** The events that the marks on several parts likely came from, and what can have driven the needle there. */
export function StrikeNote() {
  const bench = useInstrumentBench();
  const strikes = strikesNow(bench);
  if (strikes.length === 0) return null;
  const words = instruments.marks.strike;
  const seen = new Set(strikes.flatMap(({ parts }) => parts));
  const unseen = STRUCK_PARTS.filter(
    (part) =>
      !seen.has(part) &&
      surfacesOf(bench).some(
        (surface) => surface.part === part && statusOf(bench, surface.check) === 'not-yet',
      ),
  );
  return (
    <section
      aria-label={words.title}
      aria-live="polite"
      className="border-l-4 border-hazard pl-4 leading-snug"
    >
      <h2 className="text-lg font-semibold">
        {words.title} <ProvenanceMark standing="common-practice" />
      </h2>
      {strikes.map((strike) => (
        <p key={strike.marks.join()}>{strikeWords(strike)}</p>
      ))}
      {strikes.length > 1 && <p>{words.two}</p>}
      {unseen.length > 0 && <p className="font-semibold">{words.unseen(partsWords(unseen))}</p>}
      <p className="mt-1">{words.drove}:</p>
      <ul className="list-disc pl-6">
        {DROVE_IT.map(({ id, checks }) => (
          <li key={id}>
            {words.causes[id]}
            <CheckLinks checks={checks} />
          </li>
        ))}
      </ul>
      <p className="text-sm text-quiet">{words.likely}</p>
    </section>
  );
}

function strikeWords({ parts, across, along }: LikelyStrike): string {
  const words = instruments.marks.strike;
  const sides = [words.across[across], words.along[along]].filter(Boolean).join(words.and);
  return `${words.parts(partsWords(parts))}, ${sides ? words.lean(sides) : words.straight}`;
}

function partsWords(parts: LikelyStrike['parts']): string {
  return parts.map((part) => instruments.marks.parts[part].toLowerCase()).join(', ');
}
