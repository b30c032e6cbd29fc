import type { Account, AuditLine } from '@nodo/api';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAuditInfiniteQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { write } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { Select } from '../../ui/Select.tsx';

const EVERYBODY = '';

/** Who saw and did what, the latest first, page by page. */
export function AuditList({ accounts }: { readonly accounts: readonly Account[] }) {
  const [person, setPerson] = useState(EVERYBODY);
  const { data, error, hasNextPage, isFetching, fetchNextPage } = useAuditInfiniteQuery(
    person === EVERYBODY ? undefined : person,
  );
  const words = people.audit;
  const known = new Map(accounts.map((account) => [account.id, account]));
  const lines = data?.pages.flatMap((page) => page.lines) ?? [];
  return (
    <section
      aria-label={words.title}
      className="border-rule bg-paper gutter py-4 max-lg:border-t lg:w-96 lg:border-l"
    >
      <h2 className="mb-2 text-lg font-semibold">{words.title}</h2>
      <Select
        label={words.of}
        className="mb-3"
        value={person}
        onChoose={setPerson}
        options={[
          [EVERYBODY, words.everybody],
          ...accounts.map(({ id, name }) => [id, name] as const),
        ]}
      />
      {error && (
        <p role="alert" className="font-semibold text-hazard">
          {faultWords(error)}
        </p>
      )}
      {data && lines.length === 0 && <p className="text-quiet">{words.none}</p>}
      {daysOf(lines).map(({ day, groups }) => (
        <section key={day} aria-label={day}>
          <h3 className="sticky top-0 mt-3 border-b-2 border-ink bg-paper py-1 font-semibold">
            {day}
          </h3>
          <ol>
            {groups.map((group) => (
              <li key={group[0]?.id} className="border-b border-rule py-2 last:border-0">
                <Group lines={group} known={known} />
              </li>
            ))}
          </ol>
        </section>
      ))}
      {hasNextPage && (
        <Button className="mt-3" disabled={isFetching} onClick={() => void fetchNextPage()}>
          {words.more}
        </Button>
      )}
    </section>
  );
}

/** Lines by the day, and within it what follows each other about one ticket together. */
function daysOf(
  lines: readonly AuditLine[],
): readonly { readonly day: string; readonly groups: readonly (readonly AuditLine[])[] }[] {
  const days: { day: string; groups: AuditLine[][] }[] = [];
  for (const line of lines) {
    const day = write.day(line.at);
    let last = days.at(-1);
    if (last?.day !== day) {
      last = { day, groups: [] };
      days.push(last);
    }
    const group = last.groups.at(-1);
    if (group && line.ticket !== null && group[0]?.ticket === line.ticket) group.push(line);
    else last.groups.push([line]);
  }
  return days;
}

/** What was done about one ticket, or one thing beside tickets. */
function Group({
  lines,
  known,
}: {
  readonly lines: readonly AuditLine[];
  readonly known: ReadonlyMap<string, Account>;
}) {
  const words = people.audit;
  const [{ ticket, label } = { ticket: null, label: null }] = lines;
  return (
    <>
      {ticket !== null && label !== null && (
        <Link
          to={`/bench/${ticket}`}
          className="inline-flex min-h-11 items-center underline underline-offset-4 [overflow-wrap:anywhere]"
        >
          {label}
        </Link>
      )}
      <ol className={ticket === null ? '' : 'border-l-3 border-edge pl-3'}>
        {lines.map(({ id, at, person, what, toPerson }) => (
          <li key={id} className="grid grid-cols-[3.5rem_1fr] gap-x-2 py-0.5 leading-snug">
            <time dateTime={at} className="text-sm leading-snug text-quiet">
              {write.clock(at)}
            </time>
            <span>
              {person === null ? (
                <strong>{words.customer}</strong>
              ) : (
                <By person={known.get(person)} />
              )}{' '}
              {words.what(what)} {toPerson !== null && <By person={known.get(toPerson)} />}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** Whoever it was by their mark, whose name is read out and comes up beside it. */
function By({ person }: { readonly person: Account | undefined }) {
  return person ? <PersonMark small person={person} /> : null;
}
