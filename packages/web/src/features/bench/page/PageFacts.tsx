import { closingWordsOf } from '@nodo/shop';
import { dueOf, mayTakeIn, paidBy } from '@nodo/ticket';
import { useCustomerQuery, useMachineQuery } from '../../../api/client.ts';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import { useMoney } from '../../../session/useMoney.ts';
import { ticketAddress } from '../../../shop/ticketAddress.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { Fact, Facts } from '../../../ui/Facts.tsx';
import { PhoneLink } from '../../../ui/PhoneLink.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { usePriceAnswered } from '../job/PriceAnswered.tsx';

/** So many earlier visits are named. */
const VISITS_SHOWN = 3;

/** The facts that a customer at the counter or on the telephone asks for. */
export function PageFacts() {
  const { ticket, model } = useTicket();
  const { intake, life, status } = ticket;
  const words = later.ticketPage.facts;
  const closed = status === 'open' ? undefined : closingWordsOf(ticket, model);
  return (
    <Facts>
      <Fact name={words.price}>
        <Price />
      </Fact>
      <Fact name={words.phone}>
        <Telephone />
      </Fact>
      <Fact name={words.cameWith}>{life.accessories.join(', ')}</Fact>
      <Fact name={words.stands}>
        {intake && status !== 'collected' && later.ticketPage.shelf(intake.shelf)}
      </Fact>
      <Fact name={words.says}>{intake?.words && <bdi>“{intake.words}”</bdi>}</Fact>
      <Fact name={words.found}>{closed?.found}</Fact>
      <Fact name={words.done}>{closed?.done}</Fact>
      <Fact name={words.gaveBack}>{life.givenBack?.join(', ')}</Fact>
      <Fact name={words.noBill}>{life.withoutBill && <bdi>{life.withoutBill}</bdi>}</Fact>
      <Fact name={words.comesBackFrom}>
        {life.comebackOf !== undefined && (
          <TextLink to={`/t/${life.comebackOf}`} className="-my-2">
            {words.earlierRepair}
          </TextLink>
        )}
      </Fact>
      <Elsewhere />
    </Facts>
  );
}

/** What it comes to, and what was agreed. */
function Price() {
  const { life, status } = useTicket().ticket;
  const money = useMoney();
  const words = later.ticketPage;
  const { bill, limit, inspectionFee } = life;
  const paid = paidBy(life);
  const said = usePriceAnswered();
  const lines = [
    bill &&
      (paid === 'not-yet'
        ? words.due(money.say(dueOf(life)))
        : words.paid(money.say(bill.total), later.bench.closing.paidBy[paid])),
    said,
    inspectionFee !== undefined && status === 'open'
      ? m.life.sheet.inspection(money.say(inspectionFee))
      : undefined,
    status === 'open'
      ? limit === undefined
        ? words.noLimit
        : limit === null
          ? words.askFirst
          : words.upTo(money.say(limit))
      : bill
        ? undefined
        : words.noPrice,
  ].filter((line) => line !== undefined);
  return lines.map((line, at) => (
    <span key={line} className={at === 0 ? 'block font-semibold' : 'block text-quiet'}>
      {line}
    </span>
  ));
}

function Telephone() {
  const { customer } = useShown();
  const { contact } = useTicket().ticket.life;
  const words = later.ticketPage;
  if (!customer) return null;
  const { phone, reach } = customer;
  return (
    <>
      {phone ? <PhoneLink number={phone} className="-my-2 font-semibold" /> : words.noPhone}
      <span className="block text-sm text-quiet">{words.wantsToBeTold(m.life.spoken(reach))}</span>
      {contact && (
        <span className="block text-sm text-quiet">
          {words.lastTried(write.moment(contact.at), m.life.contactOutcome(contact.outcome))}
        </span>
      )}
    </>
  );
}

/** Their other machines in the shop, and the earlier visits of this one. */
function Elsewhere() {
  const { ticket } = useTicket();
  const { customer } = useShown();
  const { role } = useSession().person;
  const { machine } = ticket.life;
  const mayRead = mayTakeIn(role);
  const { data: file } = useCustomerQuery(customer?.id ?? '', { skip: !customer || !mayRead });
  const { data: record } = useMachineQuery(machine ?? '', {
    skip: machine === undefined || !mayRead,
  });
  const words = later.ticketPage.facts;
  const here = (file?.tickets ?? []).filter(
    (line) => line.ticket !== ticket.id && line.tag !== null && line.status !== 'collected',
  );
  const earlier = (record?.visits ?? []).filter(({ line }) => line.ticket !== ticket.id);
  return (
    <>
      <Fact name={words.alsoHere}>
        {here.length > 0 &&
          here.map((line) => (
            <TextLink key={line.ticket} to={ticketAddress(role, line)} className="mr-4 -my-2">
              {`${line.tag ?? ''} ${line.label}, ${m.life.standing(line.standing, line.unrepaired)}`}
            </TextLink>
          ))}
      </Fact>
      <Fact name={words.earlier}>
        {earlier.length > 0 &&
          earlier.slice(0, VISITS_SHOWN).map(({ line }) => (
            <TextLink key={line.ticket} to={`/t/${line.ticket}`} className="mr-4 -my-2">
              {`${write.day(line.takenInAt)}, ${m.life.standing(line.standing, line.unrepaired)}`}
            </TextLink>
          ))}
      </Fact>
    </>
  );
}
