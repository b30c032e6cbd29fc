import { seeded } from '@nodo/core';
import type { Actor } from '@nodo/kernel';
import { toDay } from '@nodo/kernel';
import { type FamilyModel, modelOf, SHIPPED } from '@nodo/knowledge';
import { NEW_SHOP_PROFILE, offersFor, orderOf, planShop, USUAL_TIME } from '@nodo/shop';
import {
  assess,
  pendingOverlay,
  type TicketCommand,
  type TicketSummary,
  workLeftOn,
} from '@nodo/ticket';
import type { Truth } from '../packages/knowledge/test/drawnMachine.ts';
import { walk } from '../packages/knowledge/test/walk.ts';
import { spreadOf } from '../scripts/lib/spread.mjs';
import { drawMachine, generatorOf } from './planner/truth.ts';

const TICKETS = 200;
const PEOPLE = 4;
const ROUNDS = 40;

/** A shop with so many open machines, a third of them promised, some of those overdue. */
function busyShop() {
  const next = seeded(8);
  const rack = Array.from({ length: TICKETS }, (_, at) => ({
    ticket: `ticket ${at}`,
    tag: at + 1,
    status: 'open',
    standing: 'taken-in',
    awaited: null,
    atTheClock: [],
    pin: null,
    takenInAt: '2026-03-01T10:00:00.000Z',
    comebackOf: next() < 0.05 ? 'earlier' : null,
    promised:
      next() < 0.33 ? `2026-03-${String(1 + Math.floor(next() * 28)).padStart(2, '0')}` : null,
    left: { mean: 10 + next() * 80, spread: 5 + next() * 25 },
  })) as unknown as readonly TicketSummary[];
  const people = Array.from({ length: PEOPLE }, (_, at) => `person ${at}`);
  const card = {
    ...NEW_SHOP_PROFILE,
    people: Object.fromEntries(people.map((person) => [person, USUAL_TIME])),
  };
  return { rack, people, card, now: { day: toDay('2026-03-03'), minute: 600 } };
}

/** What a tap on "what can I promise?" asks of the worker. */
function promise() {
  const shop = busyShop();
  const times = Array.from({ length: ROUNDS }, () => {
    const at = performance.now();
    planShop(shop);
    const planned = performance.now();
    offersFor(shop, { minutes: 45, spread: 20 });
    return { plan: planned - at, offers: performance.now() - planned };
  });
  const [plan, offers] = [
    spreadOf(
      times.map((one) => one.plan),
      1,
    ),
    spreadOf(
      times.map((one) => one.offers),
      1,
    ),
  ];
  const order = orderOf(shop);
  return {
    tickets: TICKETS,
    people: PEOPLE,
    planMs: { median: plan(0.5), p95: plan(0.95) },
    offersMs: { median: offers(0.5), p95: offers(0.95) },
    weightedMinutesLate: Math.round(order?.cost ?? 0),
    noOrderBelow: Math.round(order?.bound() ?? 0),
  };
}

const MACHINES = 150;
const LONGEST_MINUTES = 120;

/** The minutes that the Rack tells of a machine just taken in, held against machines walked through. */
function minutesLeft(family: string) {
  const model = modelOf(family);
  if (!model) throw new Error(family);
  const draw = seeded(20_251);
  const actor: Actor = { person: '00000000-0000-4000-8000-000000000001', role: 'technician' };
  const rows = Array.from({ length: MACHINES }, (_, at) => {
    const { truth, told: said } = drawMachine(generatorOf(family, 'first'), draw);
    const { ticket } = pendingOverlay()(
      'bench',
      [],
      commandsOf(said, truth.often, model, at).map((command) => ({ command, actor })),
      SHIPPED,
    );
    const told = workLeftOn(ticket, model, assess(ticket, model));
    const walked = walk(model, truth, { told: said, seed: at + 1, mostMinutes: LONGEST_MINUTES });
    return { told, taken: walked.minutes };
  });
  const mean = (values: readonly number[]) =>
    Number((values.reduce((sum, one) => sum + one, 0) / values.length).toFixed(1));
  const within = (spreads: number) =>
    Number(
      (
        rows.filter(({ told, taken }) => Math.abs(taken - told.mean) <= spreads * told.spread)
          .length / rows.length
      ).toFixed(2),
    );
  return {
    machines: MACHINES,
    toldMinutes: mean(rows.map(({ told }) => told.mean)),
    takenMinutes: mean(rows.map(({ taken }) => taken)),
    toldSpread: mean(rows.map(({ told }) => told.spread)),
    withinOneSpread: within(1),
    withinTwo: within(2),
  };
}

/** Taking in, and what the customer said of the machine. */
function commandsOf(
  told: ReadonlyMap<string, boolean>,
  often: Truth['often'],
  model: FamilyModel,
  at: number,
): readonly TicketCommand[] {
  const common = { epoch: 0, observedAt: '2026-03-02T10:00:00.000Z', device: 'bench' };
  const id = (digit: number) =>
    `00000000-0000-4000-8000-${String(at * 10 + digit).padStart(12, '0')}`;
  const said = (check: string) =>
    Object.fromEntries(
      (model.checks.get(check)?.findings ?? []).flatMap(({ id: finding }) => {
        const present = told.get(finding);
        return present === undefined ? [] : [[finding, present ? 'yes' : 'no'] as const];
      }),
    );
  const first = {
    family: model.family.id,
    label: 'x',
    words: '',
    customer: null,
    tag: 1,
    shelf: 'A',
  };
  return [
    { ...common, id: id(1), type: 'intake-taken', command: first },
    ...['complaint', 'context'].map(
      (check, index): TicketCommand => ({
        ...common,
        id: id(2 + index),
        type: 'findings-recorded',
        command: {
          check,
          answers: said(check),
          ...(check === 'complaint' ? { often } : {}),
        },
      }),
    ),
  ];
}

export const shopBenches = [
  { name: 'promise/200-tickets', run: promise },
  ...['drop-in', 'front-loading'].map((family) => ({
    name: `promise/minutes-left/${family}`,
    run: () => minutesLeft(family),
  })),
];
