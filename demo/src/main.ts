import { settings } from '@nodo/server';
import { loadDemo } from './load.ts';
import { DEMO_PEOPLE } from './people.ts';

const { database } = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
/** One line of JSON each: how far it is, and in the end what there is. */
const print = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);

const time = { now: new Date(), zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
const loaded = await loadDemo(database, time, (done, of) => print({ done, of }));
const signIns = Object.values(DEMO_PEOPLE).map(({ id, login, password, name, role }) => ({
  id,
  login,
  password,
  name,
  role,
}));
print({ ...loaded, signIns });
