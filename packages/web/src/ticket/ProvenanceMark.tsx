import type { Provenance } from '@nodo/knowledge';
import { Popover } from 'radix-ui';
import { later } from '../messages/later.ts';

const SIGNS: Readonly<Record<Provenance, string>> = {
  published: '§',
  'common-practice': '≈',
  typical: '~',
  derived: '=',
  tuned: '∗',
  shop: '◦',
};

/** What the marks of a panel mean, once for all of them. */
export function ProvenanceLegend() {
  return (
    <p className="flex flex-wrap gap-x-4 text-sm text-quiet">
      {(Object.keys(SIGNS) as Provenance[]).map((standing) => (
        <span key={standing}>
          <span aria-hidden="true" className="font-semibold">
            {SIGNS[standing]}
          </span>{' '}
          {later.bench.standingsShort[standing]}
        </span>
      ))}
    </p>
  );
}

/** A small mark for where a value comes from; a tap shows it in words. */
export function ProvenanceMark({ standing }: { readonly standing: Provenance }) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label={later.bench.standings[standing]}
          className="-mx-3 -my-3 inline-grid size-11 place-items-center text-quiet hover:text-ink"
        >
          <span aria-hidden="true" className="-translate-y-1 text-sm leading-none font-semibold">
            {SIGNS[standing]}
          </span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={2}
          className="z-50 max-w-72 rounded-md border-2 border-ink bg-paper p-3 text-sm text-ink"
        >
          {later.bench.standings[standing]}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
