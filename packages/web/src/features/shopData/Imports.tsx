import { type ImportAnswer, LARGEST_IMPORT } from '@nodo/api';
import { IMPORT_KINDS, type ImportKind } from '@nodo/exchange';
import { useRef, useState } from 'react';
import { useImportRowsMutation } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { RadioBoxes } from '../../ui/RadioBoxes.tsx';
import { Sewing } from '../../ui/Stitches.tsx';
import { decode, encodingOf } from './decode.ts';
import { ImportMatching } from './ImportMatching.tsx';
import { ImportOutcome } from './ImportOutcome.tsx';
import type { Asked } from './importAsked.ts';

/** Customers and machines from somebody else's list: looked at, then taken over whole. */
export function Imports() {
  const words = later.data.imports;
  const [kind, setKind] = useState<ImportKind>('customers');
  const [asked, setAsked] = useState<Asked>();
  const [answer, setAnswer] = useState<ImportAnswer>();
  const [isTooLarge, setIsTooLarge] = useState(false);
  const [send, { isLoading, error, reset }] = useImportRowsMutation();
  const picker = useRef<HTMLInputElement>(null);

  const ask = async (next: Asked, apply: boolean) => {
    setAsked(next);
    const { bytes, encoding, name: _name, ...rest } = next;
    const { data } = await send({ ...rest, text: decode(bytes, encoding), apply });
    if (data) setAnswer(data);
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    setAnswer(undefined);
    setIsTooLarge(file.size > LARGEST_IMPORT);
    if (file.size > LARGEST_IMPORT) return;
    const bytes = new Uint8Array(await file.arrayBuffer());
    await ask({ kind, name: file.name, bytes, encoding: encodingOf(bytes) }, false);
  };
  const begin = () => {
    setAsked(undefined);
    setAnswer(undefined);
    reset();
  };

  return (
    <section aria-label={words.title}>
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="mb-2 max-w-[65ch] text-quiet">{words.lead}</p>
      {!answer && (
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <RadioBoxes
            legend={words.kind}
            className="flex flex-wrap gap-x-6"
            options={IMPORT_KINDS.map((one) => [one, words.kinds[one]] as const)}
            value={kind}
            onChoose={setKind}
          />
          <Button look="main" disabled={isLoading} onClick={() => picker.current?.click()}>
            {words.choose}
          </Button>
          <input
            ref={picker}
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            aria-label={words.choose}
            className="sr-only"
            tabIndex={-1}
            onChange={({ target }) => {
              void choose(target.files?.[0]);
              target.value = '';
            }}
          />
        </div>
      )}
      {isLoading && <Sewing label={words.reading} />}
      {(isTooLarge || error !== undefined) && (
        <FormError text={isTooLarge ? words.tooLarge : ''} fault={error} />
      )}
      {asked && answer && (
        <div className="mt-2 flex flex-col gap-6 border-l-6 border-ink bg-paper px-6 py-4">
          <p className="text-xl font-bold break-all">
            <bdi>{asked.name}</bdi>
          </p>
          {!answer.applied && (
            <ImportMatching asked={asked} answer={answer} onAsk={(next) => void ask(next, false)} />
          )}
          <ImportOutcome
            kind={asked.kind}
            answer={answer}
            isBusy={isLoading}
            onTake={() => void ask({ ...asked, matching: answer.matching }, true)}
            onAnother={begin}
          />
        </div>
      )}
    </section>
  );
}
