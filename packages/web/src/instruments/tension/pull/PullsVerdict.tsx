import type { DialPullsVerdict } from '@nodo/core';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';

/** What the pulls say of discs and dial, a sentence each. */
export function PullsVerdict({
  verdict: { rises, grips, drags, lag, lintSuspected },
  ratio,
}: {
  readonly verdict: DialPullsVerdict;
  /** Top over bobbin at the middle mark, where both are known. */
  readonly ratio: string | undefined;
}) {
  const words = instruments.tensionPull.verdict;
  const said = [
    ...told(drags, words.drags, words.free),
    ...told(grips === undefined ? undefined : !grips, words.open, words.grips),
    ...told(rises === undefined ? undefined : !rises, words.flat, words.rises),
  ];
  if (said.length === 0) return <p className="leading-snug">{words.nothing}</p>;
  return (
    <>
      <ul className="flex flex-col gap-2" data-verdict>
        {said.map(({ text, isBad }) => (
          <li key={text} className={`leading-snug ${isBad ? 'text-lg font-semibold' : ''}`}>
            {text}
          </li>
        ))}
      </ul>
      {lag !== undefined && (
        <p className="leading-snug">{words.lag(write.percent(Math.abs(lag)))}</p>
      )}
      {lintSuspected && <p className="leading-snug font-semibold">{words.lint}</p>}
      {ratio !== undefined && <p className="leading-snug">{words.ratio(ratio)}</p>}
    </>
  );
}

function told(isBad: boolean | undefined, bad: string, good: string) {
  return isBad === undefined ? [] : [{ text: isBad ? bad : good, isBad }];
}
