import type { AccessSource } from '../schema/schema.ts';

/** What can be opened on a machine, from where it is reached, and what that costs. */
export const ACCESS = [
  {
    id: 'closed',
    title: 'Nothing opened',
    openMinutes: 0,
    closeMinutes: 0,
    means: 'The machine as it stands',
    safety: 'Hands clear of the needle while it can move',
  },
  {
    id: 'foot-off',
    title: 'Needle and presser foot off',
    from: 'closed',
    openMinutes: 0.7,
    closeMinutes: 1,
    means:
      'Needle out first, then the foot (or its assembly: on some heads one short screw holds both, slacken it only until the needle slides)',
    safety: 'Power off and unplugged',
  },
  {
    id: 'plate-off',
    title: 'Needle plate off',
    from: 'foot-off',
    openMinutes: 1,
    closeMinutes: 1.5,
    means: 'Short screws into the parts dish; disengage a walking foot first',
    safety: 'Power off and unplugged',
  },
  {
    id: 'door',
    title: 'Bobbin door open',
    applies: 'front-loading',
    from: 'closed',
    openMinutes: 0.1,
    closeMinutes: 0.1,
    means: 'Front or side door',
    safety: 'Power off and unplugged',
  },
  {
    id: 'case-out',
    title: 'Bobbin case out on a drop-in machine',
    applies: 'drop-in',
    from: 'plate-off',
    openMinutes: 0.7,
    closeMinutes: 1,
    means: 'Lift the case out past the feed teeth',
    safety: 'Power off and unplugged',
  },
  {
    id: 'case-out',
    title: 'Bobbin case and hook out on a front-loading machine',
    applies: 'front-loading',
    from: 'door',
    openMinutes: 0.4,
    closeMinutes: 0.6,
    means: 'Latch the case out; ring down, hook out',
    safety: 'Power off and unplugged',
  },
] as const satisfies readonly AccessSource[];
