import { pathTo } from '@nodo/api';
import { useState } from 'react';
import { useFeedsQuery, useMakeFeedMutation, useRevokeFeedMutation } from '../../api/client.ts';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { Button } from '../../ui/Button.tsx';
import { CopyField } from '../../ui/CopyField.tsx';

/** Addresses by which calendars read the promised days. */
export function Calendars() {
  const words = later.data.calendars;
  const { data: feeds = [], error } = useFeedsQuery();
  const people = usePeopleById();
  const [make, { isLoading, error: refused }] = useMakeFeedMutation();
  const [revoke] = useRevokeFeedMutation();
  const [made, setMade] = useState<{ readonly id: string; readonly address: string }>();
  const begin = async () => {
    const { data } = await make({ what: 'promised' });
    if (!data) return;
    const { token, feed } = data;
    setMade({ id: feed.id, address: `${window.location.origin}${pathTo('readFeed', { token })}` });
  };
  return (
    <section aria-label={words.title}>
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="max-w-[65ch] text-quiet">{words.lead}</p>
      <ul>
        {feeds.map(({ id, madeBy, madeAt }) => (
          <li
            key={id}
            className="flex max-w-3xl flex-wrap items-center justify-between gap-x-4 border-b border-rule py-1"
          >
            {words.madeBy(people.get(madeBy)?.name ?? '', write.moment(madeAt))}
            <Button
              look="quiet"
              onClick={() => {
                if (made?.id === id) setMade(undefined);
                void revoke(id);
              }}
            >
              {words.revoke}
            </Button>
          </li>
        ))}
      </ul>
      {made && (
        <div className="mt-3 max-w-3xl border-l-6 border-ink bg-paper px-6 py-4">
          <CopyField label={words.address} hint={words.once} text={made.address} />
        </div>
      )}
      <Button className="mt-3" disabled={isLoading} onClick={() => void begin()}>
        {words.make}
      </Button>
      {(error ?? refused) !== undefined && <FormError fault={error ?? refused} />}
    </section>
  );
}
