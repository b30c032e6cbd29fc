import type { Provenance } from '@nodo/knowledge';
import { Reading } from '../src/instruments/frame/bits.tsx';
import { later } from '../src/messages/later.ts';
import { FormError } from '../src/session/FormError.tsx';
import { ProvenanceMark } from '../src/ticket/ProvenanceMark.tsx';
import { Button } from '../src/ui/Button.tsx';
import { ErrorBoundary } from '../src/ui/ErrorBoundary.tsx';
import { Key } from '../src/ui/Key.tsx';
import { Opens } from '../src/ui/Opens.tsx';
import { PersonMark } from '../src/ui/PersonMark.tsx';
import { EmptySeam, EmptyShelves } from '../src/ui/Skeletons.tsx';
import { Blank, Sewing } from '../src/ui/Stitches.tsx';
import type { PartStates } from './partStates.ts';

const PROVENANCES = Object.keys(later.bench.standings) as Provenance[];

function Broken(): never {
  throw new Error('A part that breaks, to show what stands in its place.');
}

/** What says something and takes nothing. */
export const SIGNS: PartStates = {
  Reading: [
    {
      state: 'within its limits',
      shown: (
        <dl className="w-80">
          <Reading name="Hook to scarf gap" value="0.08 mm" standing="published" />
        </dl>
      ),
    },
    {
      state: 'out of them, with a note',
      shown: (
        <dl className="w-80">
          <Reading name="Pull at the bobbin" value="12 g" note="20 to 30 g" bad />
        </dl>
      ),
    },
  ],
  EmptyShelves: [{ state: 'the Rack is being read', shown: <EmptyShelves /> }],
  EmptySeam: [
    {
      state: 'a ticket is being read',
      shown: (
        <div className="w-80">
          <EmptySeam />
        </div>
      ),
    },
  ],
  ProvenanceMark: PROVENANCES.map((standing) => ({
    state: standing,
    shown: <ProvenanceMark standing={standing} />,
  })),
  Opens: [
    {
      state: 'at the end of a row',
      shown: (
        <p className="flex w-60 items-center">
          Olive zigzag <Opens />
        </p>
      ),
    },
  ],
  PersonMark: [0, 1, 2, 3, 4].map((thread) => ({
    state: `thread ${thread}`,
    shown: <PersonMark person={{ name: 'Odren Example', initials: 'OE', thread }} />,
  })),
  Key: [{ state: 'a key', shown: <Key>u</Key> }],
  Sewing: [{ state: 'waiting', shown: <Sewing label="Reading the tickets" /> }],
  FormError: [{ state: 'refused', shown: <FormError text="This tag is on another machine." /> }],
  Blank: [
    {
      state: 'nothing here',
      shown: (
        <Blank title="No machine fits" within>
          <p>Search for fewer letters, or take one in.</p>
          <Button look="main">Take one in</Button>
        </Blank>
      ),
    },
  ],
  ErrorBoundary: [
    {
      state: 'broken within',
      shown: (
        <ErrorBoundary instead={<p>Something broke here. The rest goes on.</p>}>
          <Broken />
        </ErrorBoundary>
      ),
    },
  ],
};
