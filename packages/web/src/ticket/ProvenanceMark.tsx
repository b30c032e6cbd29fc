import type { Provenance } from '@nodo/knowledge';
import { Popover } from 'radix-ui';
import { m } from '../messages/index.ts';

const SIGNS: Readonly<Record<Provenance, string>> = {
  published: '§',
  'common-practice': '≈',
  typical: '~',
  derived: '=',
  tuned: '∗',
  shop: '◦',
};

/** A small mark for where a value comes from; a tap shows it in words. */
export function ProvenanceMark({ standing }: { readonly standing: Provenance }) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label={m.bench.standings[standing]}
          className="-my-3 inline-grid size-11 place-items-center text-quiet hover:text-ink"
        >
          <span
            aria-hidden="true"
            className="grid size-5 place-items-center rounded-full border border-edge text-sm leading-none"
          >
            {SIGNS[standing]}
          </span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={2}
          className="z-50 max-w-72 rounded-md border-2 border-ink bg-paper p-3 text-sm text-ink"
        >
          {m.bench.standings[standing]}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
