import { POWER_OFF } from '@nodo/ticket';
import { ThingGlyph } from '../../drawing/ToolGlyph.tsx';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import type { InstrumentBench } from './instrumentBench.ts';

/**
 * Before hands go in: the ticket says that the machine has power. It is unplugged now, or it was when
 * this was done and is said afterwards.
 */
export function PlugGate({
  bench: { onTicket },
  onAfterwards,
}: {
  readonly bench: InstrumentBench;
  readonly onAfterwards: () => void;
}) {
  const words = later.instrument.gate;
  return (
    <section
      aria-label={words.title}
      className="flex flex-wrap items-center gap-3 bg-hazard-wash px-4 py-2"
    >
      <ThingGlyph thing="plugged" className="shrink-0 text-hazard" />
      <p className="min-w-60 flex-1 leading-snug font-semibold text-hazard">{words.text}</p>
      <Button onClick={() => onTicket?.record('action-done', { action: POWER_OFF })}>
        {later.bench.step.unplugged}
      </Button>
      <Button look="quiet" onClick={onAfterwards}>
        {words.afterwards}
      </Button>
    </section>
  );
}
