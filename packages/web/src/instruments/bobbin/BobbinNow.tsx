import type { FamilyModel } from '@nodo/knowledge';
import { checkStatus, type Ticket } from '@nodo/ticket';
import { instruments } from '../../messages/instruments.ts';
import { TextLink } from '../../ui/TextLink.tsx';
import { owesTension } from './tension/measuredSince.ts';

/** How far bobbin and case of a ticket's machine were looked at, and the way to the instrument. */
export function BobbinNow({
  ticket,
  model,
}: {
  readonly ticket: Ticket;
  readonly model: FamilyModel;
}) {
  if (!model.family.traits.includes('bobbin')) return null;
  const words = instruments.bobbin.now;
  if (owesTension(ticket)) {
    return (
      <p className="mt-1 leading-snug">
        {words.turned}{' '}
        <TextLink to={`/bench/${ticket.id}/bobbin/tension`}>{words.measure}</TextLink>
      </p>
    );
  }
  const states = (['bobbin-class', 'bobbin-wind', 'bobbin-turn', 'case-seat'] as const)
    .filter((check) => model.checks.has(check))
    .map((check) => checkStatus(ticket, model, check));
  const state = states.includes('found')
    ? 'found'
    : states.every((one) => one === 'sound')
      ? 'sound'
      : states.some((one) => one === 'sound')
        ? 'partly'
        : 'not-yet';
  return (
    <p className="mt-1 leading-snug">
      <span className="text-sm text-quiet">{words.title}: </span>
      {words.states[state]} <TextLink to={`/bench/${ticket.id}/bobbin`}>{words.measure}</TextLink>
    </p>
  );
}
