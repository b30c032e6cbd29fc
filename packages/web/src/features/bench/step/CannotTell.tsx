import { WHY_NOT_TOLD, type WhyNotTold } from '@nodo/ticket';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { later } from '../../../messages/later.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Key } from '../../../ui/Key.tsx';
import { useKeys, useStepKeys } from '../../../ui/useKeys.ts';

/** A check that gives no answer: why not is asked, and it is put off with that reason. */
export function CannotTell({ check }: { readonly check: string }) {
  const { record } = useTicket();
  const [open, setOpen] = useState(false);
  const words = later.bench.step;
  useStepKeys({ 0: () => setOpen(true) });
  const tell = (why: WhyNotTold) => {
    setOpen(false);
    record('could-not-tell', { check, why });
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex min-h-11 items-center gap-2 px-2 text-quiet underline decoration-edge underline-offset-4 hover:text-ink">
        <Key>0</Key> {words.cannotTell}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          collisionPadding={12}
          aria-label={words.whyNotTold}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="z-40 flex w-72 flex-col gap-2 rounded-lg border-2 border-ink bg-paper p-4 text-ink"
        >
          <p className="font-semibold">{words.whyNotTold}</p>
          <Reasons onTell={tell} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Reasons({ onTell }: { readonly onTell: (why: WhyNotTold) => void }) {
  // The keys of the step behind are out of reach while this is open; these are not.
  useKeys(
    Object.fromEntries(WHY_NOT_TOLD.map((why, index) => [String(index + 1), () => onTell(why)])),
    '[data-nothing]',
  );
  return WHY_NOT_TOLD.map((why, index) => (
    <button
      key={why}
      type="button"
      onClick={() => onTell(why)}
      className="flex min-h-12 items-center gap-3 rounded-lg border-2 border-ink bg-paper px-3 text-left font-semibold hover:bg-sunk"
    >
      <Key>{String(index + 1)}</Key>
      {later.bench.step.notTold[why]}
    </button>
  ));
}
