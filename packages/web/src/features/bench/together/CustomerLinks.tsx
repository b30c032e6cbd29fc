import type { CustomerLink } from '@nodo/api';
import type { CallError } from '@nodo/client';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { viewForCustomer } from '@nodo/ticket';
import { useState } from 'react';
import {
  useLinksQuery,
  useMakeLinkMutation,
  useRevokeLinkMutation,
  useShopQuery,
} from '../../../api/client.ts';
import { faultWords } from '../../../messages/errors.ts';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { usePeopleById } from '../../../session/usePeopleById.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';
import { CopyField } from '../../../ui/CopyField.tsx';
import { Select } from '../../../ui/Select.tsx';

const DAYS = [7, 14, 30, 90] as const;

/** Links by which the customer follows this ticket: made, copied, taken back. */
export function CustomerLinks() {
  const {
    ticket: { id: ticket },
  } = useTicket();
  const people = usePeopleById();
  const { data: made = [], error: unread } = useLinksQuery(ticket);
  const [make, { data: fresh, isLoading, error: refused }] = useMakeLinkMutation();
  const [revoke] = useRevokeLinkMutation();
  const [days, setDays] = useState<(typeof DAYS)[number]>(DAYS[1]);
  const words = later.links;
  const error = (refused ?? unread) as CallError | undefined;
  const { publicAddress } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const address = fresh && `${publicAddress || window.location.origin}/shared/${fresh.token}`;
  return (
    <div className="flex flex-col gap-4 overflow-y-auto">
      <p className="text-quiet">{words.lead}</p>
      {publicAddress === '' && <TextToSend />}
      {error && (
        <p role="alert" className="font-semibold text-hazard">
          {faultWords(error)}
        </p>
      )}
      {address ? (
        <CopyField label={words.address} hint={words.once} text={address} />
      ) : (
        <div className="flex items-end gap-3">
          <Select
            label={words.days}
            value={days}
            onChoose={setDays}
            options={DAYS.map((n) => [n, words.daysOf(n)] as const)}
          />
          <Button look="main" disabled={isLoading} onClick={() => void make({ ticket, days })}>
            {words.make}
          </Button>
        </div>
      )}
      <section>
        <h3 className="text-sm font-semibold text-quiet">{words.earlier}</h3>
        {made.length === 0 && <p className="py-2 text-quiet">{words.none}</p>}
        <ul>
          {made.map((link) => (
            <li
              key={link.id}
              className="flex min-h-11 flex-wrap items-center gap-x-4 border-b border-rule last:border-0"
            >
              {words.until(people.get(link.madeBy)?.name ?? '', write.day(link.until))}
              <strong className="text-sm">{stateOf(link)}</strong>
              {stateOf(link) === undefined && (
                <Button
                  look="quiet"
                  className="ml-auto"
                  onClick={() => void revoke({ ticket, link: link.id })}
                >
                  {words.revoke}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

function stateOf({ revoked, until }: CustomerLink): string | undefined {
  if (revoked) return later.links.revoked;
  return Date.parse(until) < Date.now() ? later.links.over : undefined;
}

/** Where customers reach no page of the shop: what one would say, to be pasted into a message. */
function TextToSend() {
  const { ticket, model } = useTicket();
  const view = viewForCustomer(ticket, model);
  const words = later.links;
  if (!view) return null;
  const text = words.message(view.label, later.shared.state(view.state));
  return <CopyField label={words.messageTitle} hint={words.noPublicAddress} text={text} />;
}
