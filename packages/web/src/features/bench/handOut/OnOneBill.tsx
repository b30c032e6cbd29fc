import { standingBill } from '@nodo/shop';
import type { RackEntry } from '@nodo/ticket';
import { useBillsQuery, useCustomerQuery } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { useMoney } from '../../../session/useMoney.ts';
import { useShown, useTicket } from '../../../ticket/TicketContext.tsx';
import { CheckBox } from '../../../ui/CheckBox.tsx';

/** Their other machines that are done and priced: each can go on the same bill and be paid with it. */
export function OnOneBill({
  chosen,
  onChoose,
}: {
  readonly chosen: readonly RackEntry[];
  readonly onChoose: (chosen: readonly RackEntry[]) => void;
}) {
  const { id } = useTicket().ticket;
  const { customer } = useShown();
  const { data: record } = useCustomerQuery(customer?.id ?? '', { skip: !customer });
  const others = (record?.tickets ?? []).filter(
    ({ ticket, tag, status, total }) =>
      ticket !== id && tag !== null && status === 'closed' && total !== null,
  );
  if (others.length === 0) return null;
  return (
    <fieldset>
      <legend className="font-semibold">{later.handOut.oneBill}</legend>
      {others.map((line) => (
        <Other
          key={line.ticket}
          line={line}
          isChosen={chosen.some(({ ticket }) => ticket === line.ticket)}
          onCheck={(isSo) => {
            const rest = chosen.filter(({ ticket }) => ticket !== line.ticket);
            onChoose(isSo ? [...rest, line] : rest);
          }}
        />
      ))}
    </fieldset>
  );
}

function Other({
  line,
  isChosen,
  onCheck,
}: {
  readonly line: RackEntry;
  readonly isChosen: boolean;
  readonly onCheck: (isSo: boolean) => void;
}) {
  const money = useMoney();
  const { data: bills } = useBillsQuery(line.ticket);
  const name = `${line.tag} ${line.label}`;
  const standing = bills && standingBill(bills);
  if (standing) {
    return <p className="py-2 text-quiet">{later.handOut.billedAlready(name, standing.number)}</p>;
  }
  return (
    <CheckBox checked={isChosen} onCheck={onCheck}>
      <bdi>{name}</bdi>
      <span className="font-mono">{money.say(line.total ?? 0)}</span>
    </CheckBox>
  );
}
