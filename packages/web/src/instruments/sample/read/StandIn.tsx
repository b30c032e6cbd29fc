import type { MadeUpSample } from '@nodo/core';
import { SEAM_KINDS, type SeamKind } from '@nodo/ticket';
import { useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choices } from '../../frame/bits.tsx';

/** Seams that the stand-in makes up: the proof's zigzag with stitches that can be told apart. */
const SEAMS = {
  straight: { stitches: 28, length: 2.5, width: 0 },
  zigzag: { stitches: 36, length: 2, width: 4 },
} as const satisfies Record<SeamKind, Pick<MadeUpSample, 'stitches' | 'length' | 'width'>>;
const BALANCES = [-0.6, 0, 0.6] as const;
/** Both at the same swing of a zigzag; and at a distance that something of a machine turns in. */
const SKIPPED = { no: [], yes: [9, 17], again: [4, 10, 16, 22] } as const;
type Skips = keyof typeof SKIPPED;
/** Loops that hang below, by the hole they hang at and how far across they are, in millimetres. */
const LOOPS = {
  no: [],
  yes: [
    { hole: 6, across: 3 },
    { hole: 7, across: 2.4 },
    { hole: 20, across: 3.6 },
  ],
} as const;
const SEED = 2027;

/** Pictures of a sample that nobody sewed, to try the instrument with. */
export function StandIn({ onTake }: { readonly onTake: (made: MadeUpSample) => void }) {
  const [seam, setSeam] = useState<SeamKind>('straight');
  const [balance, setBalance] = useState<number>(0);
  const [skips, setSkips] = useState<Skips>('no');
  const [loops, setLoops] = useState<keyof typeof LOOPS>('no');
  const words = instruments.sample.standIn;
  return (
    <details className="border-t border-rule pt-2">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold underline decoration-edge underline-offset-4">
        {words.title}
      </summary>
      <div className="flex flex-col gap-3">
        <p className="max-w-prose text-sm text-quiet">{words.note}</p>
        <Choices
          legend={words.seam}
          value={seam}
          options={SEAM_KINDS.map((kind) => [kind, instruments.tension.seams[kind]] as const)}
          onChoose={setSeam}
        />
        <Choices
          legend={words.balance}
          value={balance}
          options={BALANCES.map((one) => [one, instruments.tension.signed(one)] as const)}
          onChoose={setBalance}
        />
        <Choices
          legend={words.skips}
          value={skips}
          options={(['no', 'yes', 'again'] as const).map(
            (one) => [one, words.skipsAre[one]] as const,
          )}
          onChoose={setSkips}
        />
        <Choices
          legend={words.loops}
          value={loops}
          options={(['no', 'yes'] as const).map((one) => [one, words.loopsAre[one]] as const)}
          onChoose={setLoops}
        />
        <Button
          className="self-start"
          onClick={() =>
            onTake({
              ...SEAMS[seam],
              seed: SEED,
              balance,
              skipped: SKIPPED[skips],
              loops: LOOPS[loops],
            })
          }
        >
          {words.take}
        </Button>
      </div>
    </details>
  );
}
