import type { ShopRecord } from '@nodo/api';
import { useChangeShopMutation, useRackQuery, useShopQuery } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { isBeginning } from '../../session/isBeginning.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextLink } from '../../ui/TextLink.tsx';

/** Asks a lead where the shop is, as long as its time zone is only its server's. */
export function AskZone() {
  const { role } = useSession().person;
  const { data } = useShopQuery();
  const { data: rack = [] } = useRackQuery();
  // A shop that begins is asked for its zone with the rest.
  const isAsked = role === 'lead' && data?.zoneAssumed && !isBeginning(data, rack);
  return isAsked ? <Question sheet={data} /> : null;
}

function Question({ sheet: { revision, card } }: { readonly sheet: ShopRecord }) {
  const [change, { isLoading }] = useChangeShopMutation();
  const words = m.shell.zone;
  return (
    <section
      aria-label={words.label}
      className="flex flex-wrap items-center gap-4 border-b-2 border-dashed border-own gutter py-2"
    >
      <p>{words.ask(card.timeZone)}</p>
      <Button disabled={isLoading} onClick={() => void change({ revision, card })}>
        {words.yes}
      </Button>
      <TextLink to="/shop">{words.other}</TextLink>
    </section>
  );
}
