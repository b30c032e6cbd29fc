import { randomUUID } from 'node:crypto';
import type { Actor, Role } from '@nodo/kernel';
import type { TableChange } from '@nodo/knowledge';
import type { TableCommand } from '@nodo/tables';
import type { EventType, NeedleIn, TicketCommand } from '@nodo/ticket';
import type { Sequelize } from 'sequelize';
import { FITTED } from '../../ticket/test/needles.ts';
import { defineModels, hashPassword, withShop } from '../src/index.ts';

export interface TestPerson extends Actor {
  readonly login: string;
  readonly password: string;
}

export interface TestShop {
  readonly id: string;
  readonly people: Readonly<Record<Role, TestPerson>>;
}

/** An invented shop with one person of each role. */
export async function makeShop(db: Sequelize): Promise<TestShop> {
  const id = randomUUID();
  const models = defineModels(db);
  const roles: readonly Role[] = ['counter', 'technician', 'lead', 'learner'];
  const passwordHash = await hashPassword('a test password');
  const people = Object.fromEntries(
    roles.map((role) => [
      role,
      {
        person: randomUUID(),
        role,
        login: `${role}-${id.slice(0, 8)}`,
        password: 'a test password',
      },
    ]),
  ) as Record<Role, TestPerson>;
  await withShop(db, id, async (transaction) => {
    await models.shops.create({ id, name: 'Bench Nowhere' }, { transaction });
    for (const { person, role, login } of Object.values(people)) {
      await models.people.create(
        {
          shopId: id,
          id: person,
          login,
          name: `Person ${role}`,
          initials: 'PP',
          role,
          thread: 0,
          passwordHash,
        },
        { transaction },
      );
    }
  });
  return { id, people };
}

/** A command as a screen would send it. */
export function commandOf(
  type: EventType,
  command: object,
  change: Partial<TicketCommand> = {},
): TicketCommand {
  return {
    id: randomUUID(),
    type,
    command,
    epoch: 0,
    observedAt: '2026-03-02T10:00:00.000Z',
    device: 'test screen',
    ...change,
  } as TicketCommand;
}

/** An entry of a machine's needle register as a screen would send it. */
export function needleEntry(
  change: Partial<NeedleIn> = {},
): NeedleIn & { id: string; when: string } {
  return {
    id: randomUUID(),
    when: '2026-03-02T10:00:00.000Z',
    ...FITTED,
    ...change,
  };
}

/** A change to the tables as a lead's screen would send it. */
export function proposalCommand(
  change: TableChange,
  reason = 'Counted over a year.',
): TableCommand {
  return {
    id: randomUUID(),
    type: 'change-proposed',
    command: { change, reason },
    observedAt: '2026-03-02T10:00:00.000Z',
    device: 'test screen',
  };
}

let tag = 0;

export function intakeCommand(change: object = {}): TicketCommand {
  tag += 1;
  return commandOf('intake-taken', {
    family: 'drop-in',
    label: 'Teal zigzag',
    tag,
    shelf: 'A',
    words: 'It skips.',
    customer: null,
    ...change,
  });
}
