import { FIRST_VERSION } from '../schema/provenance.ts';
import type { Mechanism } from '../schema/schema.ts';

export const workshop = {
  id: 'workshop',
  title: 'Around the bench',
  standing: FIRST_VERSION,
  causes: [],
  checks: [],
  actions: [
    {
      id: 'power-off-confirmed',
      title: 'Switched off and unplugged',
      treats: [],
      repair: false,
      minutes: 0.2,
      hazard: 'electric',
    },
    {
      id: 'power-on',
      title: 'Plugged in again',
      treats: [],
      repair: false,
      minutes: 0.2,
      hazard: 'electric',
    },
    {
      id: 'fragments-accounted',
      title: 'All pieces of the broken needle found',
      treats: [],
      repair: false,
      minutes: 2,
      hazard: 'needle',
    },
    {
      id: 'fragments-waived',
      title: 'Missing piece set aside, with name and reason',
      treats: [],
      repair: false,
      minutes: 0.5,
      hazard: 'needle',
      needsReason: true,
    },
    {
      id: 'scrap-clean',
      title: 'Scrap sewn until no oil shows',
      treats: [],
      repair: false,
      minutes: 1,
    },
    {
      id: 'hand-turned',
      title: 'A few full turns by hand, nothing touches',
      treats: [],
      repair: false,
      minutes: 0.3,
      hazard: 'needle',
    },
    {
      id: 'screw-logged',
      title: 'Start position and turns noted',
      treats: [],
      repair: false,
      minutes: 0.3,
    },
    {
      id: 'marks-noted',
      title: 'Marks noted before adjusting',
      treats: [],
      repair: false,
      minutes: 0.5,
    },
  ],
} as const satisfies Mechanism;
