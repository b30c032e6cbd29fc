import { ADDRESSES, type BackupState, pathTo } from '@nodo/api';
import { useMakeBackupMutation } from '../../api/client.ts';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { Button } from '../../ui/Button.tsx';
import { Sewing } from '../../ui/Stitches.tsx';
import { BackupDays } from './BackupDays.tsx';
import { DownloadLink } from './DownloadLink.tsx';
import { PassphraseForm } from './PassphraseForm.tsx';

const OPENS =
  'min-h-11 w-fit cursor-pointer py-2 underline decoration-edge underline-offset-4 hover:decoration-ink';

/** @param state null where backups are made by whoever runs the database */
export function Backups({ state }: { readonly state: BackupState | null }) {
  const words = later.data.backups;
  return (
    <section aria-label={words.title}>
      <h2 className="mb-2 text-lg font-semibold">{words.title}</h2>
      {state === null && <p className="max-w-[65ch]">{words.elsewhere}</p>}
      {state && state.passphraseSetAt === null && <PassphraseForm state={state} />}
      {state && state.passphraseSetAt !== null && (
        <Kept state={state} since={state.passphraseSetAt} />
      )}
    </section>
  );
}

function Kept({ state, since }: { readonly state: BackupState; readonly since: string }) {
  const [make, { isLoading, error }] = useMakeBackupMutation();
  const words = later.data.backups;
  const [latest] = state.kept;
  const { failed } = state;
  return (
    <div className="flex flex-col gap-6">
      <div className="grid gap-x-10 gap-y-4 border-l-6 border-ink bg-paper px-6 py-4 md:grid-cols-[1fr_auto]">
        <div>
          <p className="text-xl font-bold" aria-live="polite">
            {latest ? words.latest(write.moment(latest.at)) : words.none}
          </p>
          <p className="max-w-[55ch] text-quiet">{words.daily(state.keep)}</p>
        </div>
        <div className="flex min-h-11 items-center">
          {state.running ? (
            <Sewing label={words.running} />
          ) : (
            <Button look="main" disabled={isLoading} onClick={() => void make()}>
              {words.now}
            </Button>
          )}
        </div>
        {latest && (
          <BackupDays at={state.kept.map(({ at }) => at)} since={since} keep={state.keep} />
        )}
      </div>
      {(error !== undefined || (failed && !state.running)) && (
        <FormError
          text={failed ? words.failed(write.moment(failed.at), words.why[failed.why]) : ''}
          fault={error}
        />
      )}
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <div className="flex flex-col gap-6">
          {latest && (
            <div>
              <p>{state.takenAt ? words.taken(write.moment(state.takenAt)) : words.takenNever}</p>
              <DownloadLink className="font-semibold" href={addressOf(latest.file)}>
                {words.take}
              </DownloadLink>
            </div>
          )}
          {state.kept.length > 1 && (
            <details>
              <summary className={OPENS}>{words.all(state.kept.length)}</summary>
              <ul className="mt-1 grid gap-x-6 sm:grid-cols-2">
                {state.kept.map(({ file, at, bytes }) => (
                  <li
                    key={file}
                    className="flex items-center justify-between gap-4 border-b border-rule"
                  >
                    <DownloadLink href={addressOf(file)} label={words.takeOne(write.moment(at))}>
                      {write.moment(at)}
                    </DownloadLink>
                    <span className="font-mono whitespace-nowrap text-quiet">
                      {words.size(megabytes(bytes))}
                    </span>
                  </li>
                ))}
              </ul>
            </details>
          )}
          <div>
            <p>{words.setOn(write.day(since))}</p>
            <details>
              <summary className={OPENS}>{words.change}</summary>
              <PassphraseForm state={state} />
            </details>
          </div>
        </div>
        <div className="max-w-[65ch]">
          <h3 className="font-semibold">{words.back}</h3>
          <p>
            {words.backLead}{' '}
            <code className="font-mono whitespace-nowrap">{words.backCommand}</code>
          </p>
          <p className="mt-2">{words.erasedLead}</p>
          <DownloadLink href={ADDRESSES.takeErased.path}>{words.erased}</DownloadLink>
        </div>
      </div>
    </div>
  );
}

const addressOf = (file: string): string => pathTo('takeBackup', { file });

function megabytes(bytes: number): string {
  return write.tenths(Math.max(0.1, bytes / 1e6));
}
