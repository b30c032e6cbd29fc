import { type BackupState, SHORTEST_PASSPHRASE } from '@nodo/api';
import { useState } from 'react';
import { toast } from 'sonner';
import { useSetBackupPassphraseMutation } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { NumberField, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { drawSecretly, suggestPassphrase } from './suggestPassphrase.ts';

const MOST_KEPT = 365;

/** By what backups are opened; shown as it is typed, for it is to be written down. */
export function PassphraseForm({
  state: { passphraseSetAt, keep },
}: {
  readonly state: BackupState;
}) {
  const words = later.data.backups;
  const [passphrase, setPassphrase] = useState('');
  const [isWritten, setIsWritten] = useState(false);
  const [kept, setKept] = useState(String(keep));
  const [send, { isLoading, error }] = useSetBackupPassphraseMutation();
  const isFirst = passphraseSetAt === null;
  const isLong = passphrase.trim().length >= SHORTEST_PASSPHRASE;
  const many = Number(kept);
  const isCount = Number.isInteger(many) && many >= 1 && many <= MOST_KEPT;
  const submit = async () => {
    if (!isLong || !isWritten || !isCount) return;
    const { data } = await send({ passphrase: passphrase.trim(), keep: many });
    if (!data) return;
    setPassphrase('');
    setIsWritten(false);
    if (!isFirst) toast.success(words.changed);
  };
  return (
    <Form
      aria-label={isFirst ? words.first : words.change}
      className="flex max-w-[65ch] flex-col gap-4 border-l-6 border-ink bg-paper px-6 py-4"
      onSubmit={() => void submit()}
    >
      {isFirst && <h3 className="text-xl font-bold">{words.first}</h3>}
      <p>{isFirst ? words.firstLead : words.changeLead}</p>
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label={words.passphrase}
          value={passphrase}
          maxLength={200}
          autoComplete="off"
          spellCheck={false}
          className="min-w-80 flex-1"
          onText={setPassphrase}
        />
        <Button onClick={() => setPassphrase(suggestPassphrase(drawSecretly))}>
          {words.suggest}
        </Button>
      </div>
      <NumberField whole label={words.keep} value={kept} className="w-40" onText={setKept} />
      <CheckBox checked={isWritten} onCheck={setIsWritten}>
        {words.written}
      </CheckBox>
      <div className="flex flex-wrap items-center gap-x-4">
        <Button
          look="main"
          type="submit"
          disabled={isLoading}
          lacks={(!isLong && words.short(SHORTEST_PASSPHRASE)) || (!isWritten && words.lacksPaper)}
        >
          {isFirst ? words.begin : words.change}
        </Button>
        <FormError fault={error} />
      </div>
    </Form>
  );
}
