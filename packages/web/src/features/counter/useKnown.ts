import type { MachineFile } from '@nodo/api';
import { foldTicket } from '@nodo/ticket';
import { toast } from 'sonner';
import { client, useAppDispatch, useMachineQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import type { IntakeForm } from '../../shop/intake/intakeForm.ts';

/** Fills the form with what the shop knows: a machine, a customer, a call. */
export function useKnown(
  form: IntakeForm,
  set: (part: Partial<IntakeForm>) => void,
): {
  readonly machine: MachineFile | undefined;
  readonly chooseMachine: (machine: string) => void;
  readonly chooseCustomer: (customer: string) => void;
  readonly chooseTicket: (ticket: string) => void;
} {
  const dispatch = useAppDispatch();
  const { endpoints } = client.api;
  const { currentData } = useMachineQuery(form.machineId ?? '', {
    skip: form.machineId === null,
  });
  const once = { subscribe: false, forceRefetch: true } as const;

  const customerOf = async (id: string): Promise<Partial<IntakeForm>> => {
    const { data } = await dispatch(endpoints.customer.initiate(id, once));
    if (!data?.card) return {};
    const { name, phone, reach } = data.card;
    return { customerId: data.mergedInto ?? id, customer: name, phone, reach };
  };
  const fill = async (part: Promise<Partial<IntakeForm> | undefined>): Promise<void> => {
    const filled = await part;
    if (filled) set(filled);
    else toast.error(later.cards.machine.failed);
  };
  const machineOf = async (id: string): Promise<Partial<IntakeForm> | undefined> => {
    const { data } = await dispatch(endpoints.machine.initiate(id, once));
    if (!data) return undefined;
    const { card, customer } = data.machine;
    return {
      machineId: id,
      family: card.family,
      traits: card.traits,
      label: card.label,
      colour: card.colour,
      comebackOf: null,
      ...(customer === null ? {} : await customerOf(customer)),
    };
  };
  /** A ticket names a machine; one that is away is the call that announced it. */
  const ticketParts = async (id: string): Promise<Partial<IntakeForm> | undefined> => {
    const { data } = await dispatch(endpoints.ticket.initiate(id, once));
    if (!data) return undefined;
    const { intake, life, status } = foldTicket(id, data.events);
    if (!intake) return undefined;
    const isCall = intake.tag === undefined && status === 'open';
    if (!isCall && life.machine !== undefined) return machineOf(life.machine);
    const { family, label, words, traits = null, colour = null } = intake;
    const customer = data.customer;
    return {
      family,
      label,
      colour,
      traits: traits && [...traits],
      ...(isCall ? { call: id, words } : {}),
      ...(customer
        ? { customerId: customer.id, customer: customer.name, phone: customer.phone }
        : {}),
    };
  };
  return {
    machine: form.machineId === null ? undefined : currentData,
    chooseMachine: (id) => void fill(machineOf(id)),
    chooseCustomer: (id) => void fill(customerOf(id)),
    chooseTicket: (id) => void fill(ticketParts(id)),
  };
}
