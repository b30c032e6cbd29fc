import { pathTo } from '@nodo/api';
import { daysBetween, isReason } from '@nodo/kernel';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { NEVER_COLLECTED, type NeverCollected } from '@nodo/ticket';
import { useState } from 'react';
import { useShopQuery } from '../../../api/client.ts';
import { m } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useTicket } from '../../../ticket/TicketContext.tsx';
import { shopClock, shopDayOf } from '../../../time/shopTime.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { PaperLink } from '../../../ui/PaperLink.tsx';
import { RadioBoxes } from '../../../ui/RadioBoxes.tsx';

/** Its customer has known for long and does not come: a letter, and at last another way out. */
export function NotCollected() {
  const { ticket, record } = useTicket();
  const { uncollectedDays, uncollectedText } = useShopQuery().data?.card ?? NEW_SHOP_PROFILE;
  const [isEnding, setEnding] = useState(false);
  const [way, setWay] = useState<NeverCollected>();
  const [reason, setReason] = useState('');
  const words = later.ticketPage.notCollected;
  const { toldAt } = ticket.life;
  if (toldAt === undefined) return null;
  const days = daysBetween(shopDayOf(toldAt), shopClock().day);
  if (days < uncollectedDays) return null;
  const isReady = way !== undefined && isReason(reason);
  return (
    <section aria-label={words.title} className="border-l-3 border-edge pl-3">
      <h2 className="font-semibold">{words.since(days)}</h2>
      {uncollectedText && <p className="break-words">{uncollectedText}</p>}
      <div className="mt-1 flex flex-wrap items-center gap-4">
        <PaperLink href={pathTo('readPaper', { ticket: ticket.id, paper: 'reminder' })}>
          {words.letter}
        </PaperLink>
        <Button aria-expanded={isEnding} onClick={() => setEnding(!isEnding)}>
          {words.end}
        </Button>
      </div>
      {isEnding && (
        <Form
          className="mt-2 flex flex-col gap-3"
          onSubmit={() => {
            if (way && isReady) {
              record('machine-collected', { instead: { way, reason: reason.trim() } });
            }
          }}
        >
          <p>{words.rules}</p>
          <RadioBoxes
            className="flex flex-wrap gap-x-6"
            legend={words.way}
            options={NEVER_COLLECTED.map((one) => [one, m.life.neverCollected(one)] as const)}
            value={way}
            onChoose={setWay}
          />
          <TextField label={words.reason} value={reason} maxLength={500} onText={setReason} />
          <Button type="submit" className="self-start" lacks={!isReady && m.shell.lacks.all}>
            {words.save}
          </Button>
        </Form>
      )}
    </section>
  );
}
