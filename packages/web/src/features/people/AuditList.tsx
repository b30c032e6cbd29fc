import type { Account, AuditLine } from '@nodo/api';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAuditInfiniteQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { write } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';

const EVERYBODY = '';

/** Who saw and did what, the latest first, page by page. */
export function AuditList({ accounts }: { readonly accounts: readonly Account[] }) {
  const [person, setPerson] = useState(EVERYBODY);
  const { data, error, hasNextPage, isFetching, fetchNextPage } = useAuditInfiniteQuery(
    person === EVERYBODY ? undefined : person,
  );
  const words = people.audit;
  const names = new Map(accounts.map(({ id, name }) => [id, name]));
  const lines = data?.pages.flatMap((page) => page.lines) ?? [];
  return (
    <section
      aria-label={words.title}
      className="border-rule bg-paper px-6 py-4 max-lg:border-t lg:w-96 lg:border-l"
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
      <ol>
        {lines.map((line) => (
          <li key={line.id} className="border-b border-rule py-2 leading-snug last:border-0">
            <Line line={line} names={names} />
          </li>
        ))}
      </ol>
      {hasNextPage && (
        <Button className="mt-3" disabled={isFetching} onClick={() => void fetchNextPage()}>
          {words.more}
        </Button>
      )}
    </section>
  );
}

function Line({
  line: { at, person, what, ticket, label, toPerson },
  names,
}: {
  readonly line: AuditLine;
  readonly names: ReadonlyMap<string, string>;
}) {
  const words = people.audit;
  return (
    <>
      <time dateTime={at} className="block font-mono text-sm text-quiet">
        {write.moment(at)}
      </time>
      <strong>{person === null ? words.customer : names.get(person)}</strong> {words.what(what)}{' '}
      {toPerson !== null && names.get(toPerson)}
      {ticket !== null && label !== null && (
        <Link
          to={`/bench/${ticket}`}
          className="inline-block py-1 underline underline-offset-4 [overflow-wrap:anywhere]"
        >
          {label}
        </Link>
      )}
    </>
  );
}
