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
/** Both at the same swing of a zigzag. */
const SKIPPED = [9, 17] as const;
const SEED = 2027;

/** Pictures of a sample that nobody sewed, to try the instrument with. */
export function StandIn({ onTake }: { readonly onTake: (made: MadeUpSample) => void }) {
  const [seam, setSeam] = useState<SeamKind>('straight');
  const [balance, setBalance] = useState<number>(0);
  const [skips, setSkips] = useState<'no' | 'yes'>('no');
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
          options={(['no', 'yes'] as const).map((one) => [one, words.skipsAre[one]] as const)}
          onChoose={setSkips}
        />
        <Button
          className="self-start"
          onClick={() =>
            onTake({
              ...SEAMS[seam],
              seed: SEED,
              balance,
              skipped: skips === 'yes' ? SKIPPED : [],
            })
          }
        >
          {words.take}
        </Button>
      </div>
    </details>
  );
}
