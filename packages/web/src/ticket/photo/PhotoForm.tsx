import type { CallError } from '@nodo/client';
import { useRef, useState } from 'react';
import { call } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { PictureChooser } from '../../ui/PictureChooser.tsx';
import { Sewing } from '../../ui/Stitches.tsx';
import { useTicket } from '../TicketContext.tsx';
import { bytesOf, drawPhoto, jpegOf } from './drawPhoto.ts';

type State =
  | { readonly kind: 'empty' | 'drawn' | 'sending' | 'unreadable' }
  | { readonly kind: 'failed'; readonly fault: CallError };

/** A photo of what was seen, with a word to it; kept with the ticket. */
export function PhotoForm({
  words: begun,
  about,
  onDone,
}: {
  /** The check at which it was taken, if it is about one. */
  readonly about: { readonly check?: string };
  readonly words: string;
  readonly onDone: () => void;
}) {
  const { ticket, record } = useTicket();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [note, setNote] = useState(begun);
  const [state, setState] = useState<State>({ kind: 'empty' });
  const words = later.bench.photo;
  const hasPicture = state.kind !== 'empty' && state.kind !== 'unreadable';

  const choose = async (file: File) => {
    if (!canvas.current) return;
    try {
      await drawPhoto(file, canvas.current);
      setState({ kind: 'drawn' });
    } catch {
      setState({ kind: 'unreadable' });
    }
  };
  const keep = async () => {
    if (!canvas.current) return;
    setState({ kind: 'sending' });
    const sent = await call({
      name: 'keepPhoto',
      params: { ticket: ticket.id },
      body: await bytesOf(await jpegOf(canvas.current)),
    });
    if ('error' in sent) {
      setState({ kind: 'failed', fault: sent.error });
      return;
    }
    const { photo } = sent.data;
    if (record('photo-kept', { photo, words: note.trim(), ...about })) onDone();
    else setState({ kind: 'drawn' });
  };

  return (
    <Form className="flex flex-col gap-3 overflow-y-auto" onSubmit={keep}>
      <PictureChooser
        fromCamera
        label={hasPicture ? words.another : words.choose}
        onFile={(file) => void choose(file)}
      />
      {state.kind === 'unreadable' && (
        <p role="alert" className="font-semibold text-hazard">
          {words.unreadable}
        </p>
      )}
      <canvas
        ref={canvas}
        aria-label={words.preview}
        role="img"
        className={hasPicture ? 'max-h-72 self-start rounded-md border border-rule' : 'hidden'}
      />
      <TextField
        label={words.note}
        hint={words.noteHint}
        value={note}
        maxLength={500}
        onText={setNote}
      />
      {state.kind === 'failed' && (
        <p role="alert" className="font-semibold text-hazard">
          {faultWords(state.fault, words.offLine)}
        </p>
      )}
      {state.kind === 'sending' ? (
        <Sewing label={words.sending} />
      ) : (
        <Button
          look="main"
          type="submit"
          className="self-start"
          lacks={!hasPicture && m.shell.lacks.picture}
        >
          {words.keep}
        </Button>
      )}
    </Form>
  );
}
