import type { AnswerOf, EndpointName } from '@nodo/api';
import type { Answer, CallError } from '@nodo/client';
import type { TicketCommand } from '@nodo/ticket';
import { useState } from 'react';
import { call, useTakeInMutation } from '../../api/client.ts';
import { type AgreedMoney, arrivalOf, intakeOf, pictureOf } from '../../shop/intake/intake.ts';
import type { IntakeForm } from '../../shop/intake/intakeForm.ts';
import { bytesOf } from '../../ticket/photo/drawPhoto.ts';
import type { Picture } from './pictures.ts';

/** Something of the form was not taken; sending it again goes on from there. */
class NotTaken extends Error {
  constructor(readonly fault: CallError) {
    super(fault.kind);
  }
}

/**
 * Takes the form in: ticket first, then its pictures. Everything has an id of its own, so after a
 * fault the same form is simply sent again; what was taken already is not taken twice.
 */
export function useTakeIn() {
  const [takeIn] = useTakeInMutation();
  const [state, setState] = useState<{ readonly busy: boolean; readonly fault?: CallError }>({
    busy: false,
  });

  const send = async (form: IntakeForm, agreed: AgreedMoney, pictures: readonly Picture[]) => {
    const { call: announced } = form;
    if (announced === null) {
      const taken = await takeIn(intakeOf(form, agreed));
      if (!taken.data) throw new NotTaken(taken.error as CallError);
    } else {
      for (const one of arrivalOf(form, agreed)) await record(announced, one);
    }
    const ticket = announced ?? form.ticket;
    for (const { blob, place } of pictures) {
      const { photo } = await must(
        call({ name: 'keepPhoto', params: { ticket }, body: await bytesOf(blob) }),
      );
      await record(ticket, pictureOf(form, photo, place));
    }
    return ticket;
  };

  return {
    ...state,
    /** @returns the ticket; undefined after an error, which is shown */
    takeIn: async (
      form: IntakeForm,
      agreed: AgreedMoney,
      pictures: readonly Picture[],
    ): Promise<string | undefined> => {
      setState({ busy: true });
      try {
        const ticket = await send(form, agreed, pictures);
        setState({ busy: false });
        return ticket;
      } catch (fault) {
        if (!(fault instanceof NotTaken)) throw fault;
        setState({ busy: false, fault: fault.fault });
        return undefined;
      }
    },
  };
}

async function record(ticket: string, command: TicketCommand): Promise<void> {
  await must(call({ name: 'recordEvent', params: { ticket }, body: command }));
}

async function must<Name extends EndpointName>(
  answer: Promise<Answer<Name>>,
): Promise<AnswerOf<Name>> {
  const given = await answer;
  if ('error' in given) throw new NotTaken(given.error);
  return given.data;
}
