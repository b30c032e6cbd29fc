import type { FamilyCheck } from '@nodo/knowledge';
import { Popover } from 'radix-ui';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useTicket } from '../TicketContext.tsx';

const SHOWN_CAUSES = 5;

/** Which of the likely causes the check can show or clear, with their chances now. */
export function WhyThis({ check }: { readonly check: FamilyCheck }) {
  const { model, assessment } = useTicket();
  const findings = new Set(check.findings.map(({ id }) => id));
  const touched = assessment.beliefs
    .filter(({ cause }) => {
      if (check.trialTreats?.includes(cause)) return true;
      const { sure = [], usual = [], often = [] } = model.causes.get(cause)?.shows ?? {};
      return [...sure, ...usual, ...often].some((finding) => findings.has(finding));
    })
    .slice(0, SHOWN_CAUSES);
  if (touched.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-11 px-2 text-quiet underline decoration-edge underline-offset-4 hover:text-ink">
        {later.bench.step.whyThis}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          collisionPadding={12}
          className="z-40 max-h-80 w-[min(26rem,92vw)] overflow-y-auto rounded-lg border-2 border-ink bg-paper p-4 text-ink"
        >
          <p className="mb-1 text-quiet">{later.bench.step.standsToFind}</p>
          <ul>
            {touched.map(({ cause, blame }) => (
              <li key={cause} className="flex gap-3">
                <span className="w-14 shrink-0 text-right font-mono">{write.percent(blame)}</span>
                {model.causes.get(cause)?.name}
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
