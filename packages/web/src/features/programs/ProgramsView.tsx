import { ADDRESSES } from '@nodo/api';
import { useState } from 'react';
import { useRevokeTokenMutation, useTokensQuery } from '../../api/client.ts';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { Button } from '../../ui/Button.tsx';
import { Examples } from './Examples.tsx';
import { GivenSecret } from './GivenSecret.tsx';
import { TokenForm } from './TokenForm.tsx';

/** What a person has given to programs, and how programs use it. */
export default function ProgramsView() {
  const words = later.programs;
  const { data: tokens, error, refetch } = useTokensQuery();
  const [revoke] = useRevokeTokenMutation();
  const [given, setGiven] = useState<{ readonly name: string; readonly secret: string }>();
  if (!tokens) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return (
    <div className="flex max-w-5xl flex-col gap-6 gutter py-4">
      <div>
        <h1 className="text-2xl font-bold">{words.title}</h1>
        <p className="max-w-[65ch]">{words.lead}</p>
      </div>
      {given ? (
        <GivenSecret {...given} onDone={() => setGiven(undefined)} />
      ) : (
        <TokenForm onGiven={(name, secret) => setGiven({ name, secret })} />
      )}
      <section aria-label={words.yours}>
        <h2 className="text-lg font-semibold">{words.yours}</h2>
        {tokens.length === 0 && <p className="text-quiet">{words.none}</p>}
        <ul>
          {tokens.map(({ id, name, scope, until, usedAt, isOver }) => (
            <li
              key={id}
              className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2 last:border-0"
            >
              <span className="min-w-40 flex-1 break-words">
                <bdi>{name}</bdi>
                <span className="block text-sm text-quiet">
                  {[
                    words.scopes[scope],
                    isOver ? words.over : words.until(write.day(until)),
                    usedAt ? words.used(write.moment(usedAt)) : words.unused,
                  ].join(', ')}
                </span>
              </span>
              {!isOver && (
                <Button look="quiet" onClick={() => void revoke(id)}>
                  {words.revoke}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </section>
      <Examples address={window.location.origin} document={ADDRESSES.readOpenApi.path} />
    </div>
  );
}
