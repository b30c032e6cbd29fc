import type { Spoken } from '@nodo/ticket';
import { useState } from 'react';
import { m, write } from '../../../messages/index.ts';
import { SpokenSelect } from '../../../shop/SpokenSelect.tsx';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { Button } from '../../../ui/Button.tsx';

/** The customer was informed that the machine is ready, first in the way that they wish. */
export function CustomerInformed() {
  const { ticket, record } = useTicket();
  const { customer } = useShown();
  const [chosen, setChosen] = useState<Spoken>();
  const how = chosen ?? customer?.reach ?? 'telephone';
  const words = m.life.sheet;
  const { toldAt } = ticket.life;
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <SpokenSelect label={words.tellHow} className="w-52" how={how} onChange={setChosen} />
      <Button onClick={() => record('customer-told', { how, words: '' })}>{words.tell}</Button>
      {toldAt !== undefined && <p className="pb-2">{words.told(write.moment(toldAt))}</p>}
    </div>
  );
}
