import type { Notice, NoticeRecord } from '@nodo/api';
import { useLocation } from 'react-router';
import { useNoticesQuery, usePutNoticeAwayMutation } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextLink } from '../../ui/TextLink.tsx';

/** How often a lead's screen asks again: a disk fills within hours. */
const ASK_EVERY_MS = 300_000;

/** What the lead must know of the shop's own data, until it is put away. */
export function Notices() {
  return useSession().person.role === 'lead' ? <List /> : null;
}

function List() {
  const { data = [] } = useNoticesQuery(undefined, { pollingInterval: ASK_EVERY_MS });
  const isAtBench = useLocation().pathname.startsWith('/bench/');
  // At the bench the hand needs the room; what cannot wait stands there as well.
  const shown = data.filter(({ id }) => id === null || !isAtBench);
  if (shown.length === 0) return null;
  return (
    <section
      aria-label={m.shell.notices.title}
      className="border-b-2 border-dashed border-ink bg-paper gutter py-2"
    >
      <ul className="flex flex-col gap-2">
        {shown.map((record) => (
          <Line key={record.id ?? record.notice.kind} record={record} />
        ))}
      </ul>
    </section>
  );
}

const ABOUT_BACKUPS: ReadonlySet<Notice['kind']> = new Set([
  'no-backups',
  'backup-failed',
  'backup-old',
]);

function Line({ record: { id, notice } }: { readonly record: NoticeRecord }) {
  const [putAway, { isLoading }] = usePutNoticeAwayMutation();
  const words = m.shell.notices;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <p className="max-w-[70ch]">{textOf(notice)}</p>
      {notice.kind === 'entries-unproven' &&
        notice.tickets.map((ticket, index) => (
          <TextLink key={ticket} to={`/bench/${ticket}`}>
            {words.ticket(index + 1)}
          </TextLink>
        ))}
      {ABOUT_BACKUPS.has(notice.kind) && <TextLink to="/data">{words.toBackups}</TextLink>}
      {id !== null && (
        <Button
          look="quiet"
          className="ml-auto"
          disabled={isLoading}
          onClick={() => void putAway(id)}
        >
          {words.putAway}
        </Button>
      )}
    </li>
  );
}

function textOf(notice: Notice): string {
  const words = m.shell.notices;
  switch (notice.kind) {
    case 'demo-completed':
      return words.demoCompleted(notice.tickets);
    case 'erased-words-removed':
      return words.erasedWordsRemoved(notice.words);
    case 'entries-unproven':
      return words.entriesUnproven(notice.entries);
    case 'low-space':
      return words.lowSpace(notice.megabytes);
    case 'no-backups':
      return words.noBackups;
    case 'backup-failed':
      return words.backupFailed;
    case 'backup-old':
      return words.backupOld(notice.days);
  }
}
