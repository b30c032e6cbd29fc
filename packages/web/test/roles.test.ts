import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const SOURCES = new URL('../src/', import.meta.url);

/** Every source of the interface with its text, by its path. */
const sources = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('.tsx'))
  .map((path) => [path, readFileSync(new URL(path, SOURCES), 'utf8')] as const);

/** Where the colour of hazards stands, and for what: a hazard, or what stops the hand. */
const HAZARDS: Readonly<Record<string, string>> = {
  'drawing/Silhouette.tsx': 'the needle struck something and nobody has looked yet',
  'ui/Tag.tsx': 'its tag',
  'features/customerLink/SharedView.tsx': 'do not use it',
  'features/counter/KnownMachine.tsx': 'a record that cannot be taken over',
  'features/counter/Pictures.tsx': 'a picture that was refused',
  'features/customers/EraseForm.tsx': 'erases for good',
  'features/bench/Duties.tsx': 'sets aside what keeps people safe',
  'features/bench/together/CustomerLinks.tsx': 'a refused call',
  'features/knowledge/changes/ProposalEnd.tsx': 'a refused change',
  'features/people/AuditList.tsx': 'a refused call',
  'features/phone/CallView.tsx': 'stop: do not use the machine',
  'features/shopData/ImportOutcome.tsx': 'rows that cannot be taken over',
  'shop/profile/Hours.tsx': 'refused input',
  'instruments/frame/PlugGate.tsx': 'unplug first',
  'instruments/needle/broken/BrokenPart.tsx': 'a piece of the needle is still in the machine',
  'instruments/needle/wear/WearPart.tsx': 'a needle that struck is thrown away',
  'instruments/bobbin/marks/DressingGuide.tsx': 'do not dress it: replace',
  'instruments/bobbin/marks/StrikeNote.tsx': 'the needle struck',
  'instruments/bobbin/tension/ScrewClock.tsx': 'stop turning',
  'session/FormError.tsx': 'refused input',
  'ticket/check/Caution.tsx': 'a caution at its step',
  'ticket/photo/PhotoForm.tsx': 'a picture that was refused',
  'ui/Button.tsx': 'the look of what cannot be done lightly',
  'ui/Field.tsx': 'refused input',
  'ui/SelectBox.tsx': 'refused input',
};

const COLOUR = /\b(?:text|bg|border)-hazard\b|var\(--hazard|look="hazard"/;

describe('the roles of colours', () => {
  it('keep the colour of hazards for hazards, and for what stops the hand', () => {
    const used = sources.filter(([, text]) => COLOUR.test(text)).map(([path]) => path);
    expect(used.toSorted()).toEqual(Object.keys(HAZARDS).toSorted());
  });

  it('keep a person’s own colour out of drawings', () => {
    const drawings = sources.filter(([path]) => /^(drawing|instruments)\//.test(path));
    expect(drawings.length).toBeGreaterThan(50);
    expect(drawings.filter(([, text]) => text.includes('var(--own)'))).toEqual([]);
  });

  // What a camera reads and what is printed is black on white in both themes.
  const ON_PAPER = ['features/people/OtherBenches.tsx', 'ticket/photo/SignaturePad.tsx'];

  it('stand in one place: no colour is written outside of the tokens', () => {
    const raw = /#[0-9a-f]{3}(?:[0-9a-f]{3})?\b|\brgba?\(|\bhsla?\(/i;
    const onScreen = sources.filter(([path]) => !ON_PAPER.includes(path));
    const lines = onScreen.flatMap(([path, text]) =>
      text.split('\n').flatMap((line) => (raw.test(line) ? [`${path}: ${line.trim()}`] : [])),
    );
    expect(lines).toEqual([]);
  });
});

/** Where figures stand one below the other at the right, and what a machine reads as it is typed. */
const MONOSPACED: readonly string[] = [
  'features/bench/closing/ClosingParts.tsx',
  'features/bench/handOut/OnOneBill.tsx',
  'features/collected/CollectedView.tsx',
  'features/day/DayView.tsx',
  'features/day/Sell.tsx',
  'features/people/HandedSecret.tsx',
  'features/people/OtherBenches.tsx',
  'features/programs/Examples.tsx',
  'features/shopData/Backups.tsx',
  'features/shopProfile/PriceList.tsx',
  'instruments/frame/bits.tsx',
  'instruments/needle/seat/HeadRow.tsx',
  'shop/PriceHints.tsx',
  'ui/ChanceLine.tsx',
  'ticket/Causes.tsx',
  'ticket/check/AnswerButton.tsx',
  'ticket/check/WhyThis.tsx',
  'ui/Key.tsx',
  'ui/Tag.tsx',
  'instruments/sample/compare/ComparePart.tsx',
  'instruments/sample/read/FigureTable.tsx',
  'instruments/sample/read/StitchList.tsx',
];

describe('the roles of type', () => {
  it('keep letters of one width for figures at the right, keys, tags and codes', () => {
    const used = sources.filter(([, text]) => text.includes('font-mono')).map(([path]) => path);
    expect(used.toSorted()).toEqual(MONOSPACED.toSorted());
  });
});

/** Steps of the grid, in quarters of a rem: 4, 8, 12, 16, 24, 40 px; half a step sets a line of text by eye. */
const STEPS: ReadonlySet<string> = new Set(['0', '0.5', '1', '2', '3', '4', '6', '10']);
/** Room for a sign that lies in a field. */
const SLOTS: ReadonlySet<string> = new Set(['pl-9', 'pr-9']);

describe('the grid', () => {
  it('has six steps, and nothing stands between them', () => {
    const gap = /(?<![\w-])-?((?:gap(?:-[xy])?|[pm][xytblr]?)-(\d+(?:\.\d+)?))(?![\w./-])/g;
    const off = sources.flatMap(([path, text]) =>
      [...text.matchAll(gap)]
        .filter(([, name = '', step = '']) => !STEPS.has(step) && !SLOTS.has(name))
        .map(([, name]) => `${path}: ${name}`),
    );
    expect(off).toEqual([]);
  });
});
