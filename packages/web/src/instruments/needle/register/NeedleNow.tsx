import { needleLine } from '@nodo/shop';
import type { Ticket } from '@nodo/ticket';
import { instruments } from '../../../messages/instruments.ts';
import { needleAddress } from '../../../ticket/instrumentAddresses.ts';
import { TextLink } from '../../../ui/TextLink.tsx';
import { isUntold, useRegister } from '../../frame/useRegister.ts';

/** The needle that is in the machine of a ticket, or that nobody has said which. */
export function NeedleNow({ ticket }: { readonly ticket: Ticket }) {
  const { at, isRead } = useRegister({ machine: ticket.life.machine, onTicket: { ticket } });
  const now = at.get(1);
  const isChanged = isUntold(ticket);
  const isKnown = now !== undefined && !isChanged;
  const words = instruments.needle;
  return (
    <p className="mt-2 leading-snug">
      {isKnown ? (
        <>
          <span className="text-sm text-quiet">{words.nowIn}: </span>
          {needleLine(now.needle)}
        </>
      ) : isChanged ? (
        words.changed
      ) : (
        isRead && words.unknown
      )}{' '}
      <TextLink to={needleAddress(ticket.id, 'register')}>
        {isKnown ? words.parts.register : words.tell}
      </TextLink>
    </p>
  );
}
