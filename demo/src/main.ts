import { settings } from '@nodo/server';
import { loadDemo } from './load.ts';
import { DEMO_PEOPLE } from './people.ts';

const { database } = settings.parse(JSON.parse(process.env.NODO_SETTINGS ?? '{}'));
const loaded = await loadDemo(database, {
  now: new Date(),
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});
const signIns = Object.values(DEMO_PEOPLE).map(({ login, password, name, role }) => ({
  login,
  password,
  name,
  role,
}));
process.stdout.write(JSON.stringify({ loaded, signIns }));
