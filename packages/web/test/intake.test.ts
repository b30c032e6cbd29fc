import { toDay } from '@nodo/kernel';
import { ticketCommand as anyCommand } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { arrivalOf, callOf, intakeOf, MOST_PHOTOS, pictureOf } from '../src/shop/intake/intake.ts';
import {
  blankForm,
  type IntakeForm,
  readForm,
  readyCall,
  readyIntake,
  storeForm,
  withFamily,
} from '../src/shop/intake/intakeForm.ts';

const sheet = (change: Partial<IntakeForm> = {}): IntakeForm => ({
  ...blankForm(),
  ticket: '00000000-0000-4000-8000-00000000002c',
  label: 'Teal zigzag',
  tag: '27',
  shelf: 'A',
  words: 'It skips.',
  complaint: ['skip'],
  ...change,
});
const types = (drafts: readonly { readonly type: string }[]) => drafts.map(({ type }) => type);

describe('the sheet of the counter', () => {
  it('becomes entries that the contract takes, with what was said and no more', () => {
    const { customer, machine, drafts } = intakeOf(
      sheet({ customer: 'Mrs Ilvane', phone: '000 0141' }),
      {},
    );
    expect(types(drafts)).toEqual(['intake-taken', 'findings-recorded']);
    for (const draft of drafts) expect(anyCommand.safeParse(draft).success).toBe(true);
    expect(drafts[0]?.command).toMatchObject({
      tag: 27,
      shelf: 'A',
      label: 'Teal zigzag',
      words: 'It skips.',
      customer: customer?.id,
      machine: machine?.id,
    });
    expect(drafts[1]?.command).toEqual({ check: 'complaint', answers: { skip: 'yes' } });
    expect(customer).toMatchObject({ name: 'Mrs Ilvane', phone: '000 0141', reach: 'telephone' });
  });

  it('tells a limit and a promise only where they were spoken of', () => {
    const agreed = (change: Partial<IntakeForm>, limit?: number) =>
      intakeOf(sheet({ complaint: [], ...change }), { limit })
        .drafts.slice(1)
        .map(({ command }) => command);
    expect(agreed({})).toEqual([]);
    expect(agreed({ limit: 'up-to' }, 4550)).toEqual([{ limit: 4550 }]);
    expect(agreed({ limit: 'ask-first' })).toEqual([{ limit: null }]);
    expect(agreed({ promised: { day: toDay('2026-03-09'), despite: '' } })).toEqual([
      { day: toDay('2026-03-09') },
    ]);
    expect(agreed({ promised: { day: toDay('2026-03-09'), despite: 'A wedding' } })).toEqual([
      { day: toDay('2026-03-09'), despite: 'A wedding' },
    ]);
  });

  it('has the same ids however often it is sent, and no two alike', () => {
    const full = sheet({
      customer: 'Mrs Ilvane',
      context: { 'after-needle': 'yes' },
      limit: 'ask-first',
      promised: { day: toDay('2026-03-09'), despite: '' },
    });
    const idsOf = () => {
      const { ticket, customer, machine, drafts } = intakeOf(full, {});
      const pictures = Array.from({ length: MOST_PHOTOS }, (_, index) =>
        pictureOf(full, 'f', index),
      );
      const signed = pictureOf(full, 'f', 'signature');
      return [
        ticket,
        customer?.id,
        machine?.id,
        ...[...drafts, ...pictures, signed].map(({ id }) => id),
      ];
    };
    expect(idsOf()).toEqual(idsOf());
    expect(new Set(idsOf()).size).toBe(idsOf().length);
  });

  it('names rows that the shop has already, and makes none anew', () => {
    const known = {
      customerId: '00000000-0000-4000-8000-0000000000c1',
      machineId: '00000000-0000-4000-8000-0000000000d1',
    };
    const { customer, machine, drafts } = intakeOf(sheet({ ...known, customer: 'Mrs Ilvane' }), {});
    expect([customer, machine]).toEqual([null, null]);
    expect(drafts[0]?.command).toMatchObject({
      customer: known.customerId,
      machine: known.machineId,
    });
    // Nobody said whose it is: that is no customer without a name.
    expect(intakeOf(sheet(), {}).customer).toBeNull();
  });

  it('of a call begins without a tag, and what it was announced with comes in by itself', () => {
    expect(types(callOf(sheet()).drafts)).toEqual(['call-taken', 'findings-recorded']);
    expect(callOf(sheet()).drafts[0]?.command).not.toHaveProperty('tag');
    const arrived = arrivalOf(sheet({ accessories: ['lead'], condition: ' scratched ' }), {});
    expect(types(arrived)).toEqual(['machine-arrived', 'findings-recorded']);
    expect(arrived[0]?.command).toMatchObject({
      tag: 27,
      accessories: ['lead'],
      condition: 'scratched',
    });
  });
});

describe('a sheet that is half written', () => {
  it('outlives the page, also one of before there was more to ask', () => {
    storeForm('counter', sheet({ customer: 'Mrs Ilvane' }));
    expect(readForm('counter')).toEqual(sheet({ customer: 'Mrs Ilvane' }));
    const { customerId: _, promised: _promised, accessories: _accessories, ...old } = sheet();
    localStorage.setItem('nodo.phone', JSON.stringify(old));
    expect(readForm('phone')).toEqual(sheet());
  });

  it('is a blank one where what was kept cannot be read', () => {
    localStorage.setItem('nodo.phone', '{"ticket":');
    const { ticket, ...rest } = readForm('phone');
    const { ticket: _, ...blank } = blankForm();
    expect(rest).toEqual(blank);
    expect(ticket).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('keeps for another kind of machine what that kind knows', () => {
    const moved = withFamily(
      sheet({ complaint: ['skip', 'nest'], traits: ['bobbin'] }),
      'overlocker',
    );
    expect(moved).toMatchObject({ family: 'overlocker', traits: null });
    expect(moved.complaint).toContain('skip');
    for (const id of moved.complaint) expect(['skip', 'nest']).toContain(id);
  });
});

describe('what may be sent', () => {
  const money = (typed: string) => (/^\d+$/.test(typed) ? Number(typed) * 100 : undefined);
  const faultsOf = (change: Partial<IntakeForm>) =>
    (readyIntake(money).safeParse(sheet(change)).error?.issues ?? []).map(({ path }) => path[0]);

  it('is a sheet that says what the machine is, its tag and its shelf', () => {
    expect(faultsOf({})).toEqual([]);
    expect(faultsOf({ label: ' ', shelf: '', tag: '0' })).toEqual(['label', 'shelf', 'tag']);
    expect(faultsOf({ tag: '10000' })).toEqual(['tag']);
  });

  it('has a name with a number, and an amount where there is a limit', () => {
    expect(faultsOf({ phone: '000 0141' })).toEqual(['customer']);
    expect(faultsOf({ limit: 'up-to', limitAmount: 'much' })).toEqual(['limitAmount']);
    expect(faultsOf({ limit: 'up-to', limitAmount: '40' })).toEqual([]);
    // An amount that was typed before the limit was taken back is nobody's business.
    expect(faultsOf({ limit: 'ask-first', limitAmount: 'much' })).toEqual([]);
  });

  it('is, of a call, what was said of the machine; its tag comes with it', () => {
    const faults = (change: Partial<IntakeForm>) =>
      (readyCall.safeParse(sheet(change)).error?.issues ?? []).map(({ path }) => path[0]);
    expect(faults({ tag: '', label: '' })).toEqual([]);
    expect(faults({ complaint: [], phone: '000 0141' })).toEqual(['customer', 'complaint']);
  });
});
