import { Copy, Printer } from 'lucide-react';
import { useState } from 'react';
import { call } from '../../../api/client.ts';
import { canvasOf } from '../../../drawing/pictureOf.ts';
import { faultWords } from '../../../messages/errors.ts';
import { instruments } from '../../../messages/instruments.ts';
import { bytesOf, jpegOf } from '../../../ticket/photo/drawPhoto.ts';
import { Button } from '../../../ui/Button.tsx';
import { Sewing } from '../../../ui/Stitches.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { mayKeep } from '../../frame/instrumentBench.ts';
import { swingPlace } from '../scene/account.ts';
import { settingsWords } from '../settings/settingsWords.ts';
import { STATES, type Stitch } from '../settings/useStitch.ts';
import { headlineOf, worstPlace, worstSwing } from './verdict.ts';

/** A note to a picture is no longer. */
const MOST_WORDS = 500;

/** Keeps what is seen with the ticket, on paper, or as an address. */
export function KeepStitch({ stitch }: { readonly stitch: Stitch }) {
  const { onTicket, ...bench } = useInstrumentBench();
  const [state, setState] = useState<'open' | 'saving' | 'saved' | { readonly fault: string }>(
    'open',
  );
  const [isCopied, setCopied] = useState(false);
  const words = instruments.stitch.keep;
  const keep = async () => {
    const drawing = document.querySelector<SVGSVGElement>('[data-stitch-views]');
    if (!onTicket || !drawing) return;
    setState('saving');
    const picture = await bytesOf(await jpegOf(await canvasOf(drawing)));
    const sent = await call({
      name: 'keepPhoto',
      params: { ticket: onTicket.ticket.id },
      body: picture,
    });
    if ('error' in sent) {
      setState({ fault: faultWords(sent.error, words.offLine) });
      return;
    }
    const isKept = onTicket.record('photo-kept', {
      photo: sent.data.photo,
      words: wordsOf(stitch).slice(0, MOST_WORDS),
    });
    setState(isKept ? 'saved' : 'open');
  };
  return (
    <section className="flex flex-col items-start gap-2 print:hidden">
      {mayKeep({ ...bench, onTicket }) &&
        (state === 'saving' ? (
          <Sewing label={words.saving} />
        ) : (
          <Button look="main" onClick={() => void keep()}>
            {words.save}
          </Button>
        ))}
      <p role="status" className="font-semibold empty:hidden">
        {state === 'saved' ? words.done : typeof state === 'object' ? state.fault : ''}
      </p>
      <div className="flex flex-wrap gap-x-3">
        <Button look="quiet" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {words.print}
        </Button>
        <Button
          look="quiet"
          onClick={() => {
            void navigator.clipboard.writeText(window.location.href).then(() => setCopied(true));
          }}
        >
          <Copy aria-hidden size={18} /> {isCopied ? words.copied : words.copy}
        </Button>
      </div>
    </section>
  );
}

/** The figures in a sentence for each state. */
function wordsOf(stitch: Stitch): string {
  const words = instruments.stitch;
  return STATES.flatMap((state) => {
    const { scene, question, settings } = stitch.states[state];
    if (!scene || !question || (state === 'set' && !stitch.isSet)) return [];
    const worst = scene.swings[worstSwing(scene)];
    const headline = words.verdict.headline(
      headlineOf({ scene, question }, settings),
      worstPlace(scene),
      worst?.meeting.skips ?? 0,
    );
    const margins = scene.swings.map(
      ({ meeting }) =>
        `${words.meeting.swing[swingPlace(meeting.swing)]} ${words.verdict.margin(meeting)}`,
    );
    return words.keep.says(
      words.why.states[state],
      headline,
      margins.join(', '),
      settingsWords(settings, stitch.right),
    );
  }).join(' ');
}
