import type { Role } from '@nodo/kernel';
import { idOf } from './ids.ts';

export interface DemoPerson {
  readonly id: string;
  readonly login: string;
  readonly password: string;
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
  readonly thread: number;
}

export const DEMO_SHOP = { id: idOf('shop'), name: 'Quarrow Street Bench' } as const;

function person(
  login: string,
  name: string,
  initials: string,
  role: Role,
  thread: number,
): DemoPerson {
  return {
    id: idOf(`person ${login}`),
    login,
    password: `needle-${login}`,
    name,
    initials,
    role,
    thread,
  };
}

/** Invented people; none of them exists. */
export const DEMO_PEOPLE = {
  mirra: person('mirra', 'Mirra Oskel', 'MO', 'counter', 3),
  odren: person('odren', 'Odren Vask', 'OV', 'technician', 0),
  tavi: person('tavi', 'Tavi Brennick', 'TB', 'technician', 1),
  halle: person('halle', 'Halle Quandry', 'HQ', 'lead', 2),
  pim: person('pim', 'Pim Larkaby', 'PL', 'learner', 4),
} as const;

export type DemoLogin = keyof typeof DEMO_PEOPLE;
