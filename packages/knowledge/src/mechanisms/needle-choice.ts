import { FIRST_VERSION } from '../schema/provenance.ts';
import type { Mechanism } from '../schema/schema.ts';

export const needleChoice = {
  id: 'needle-choice',
  title: 'Needle against the work',
  standing: FIRST_VERSION,
  causes: [
    {
      id: 'needle-too-thin',
      name: 'Needle too thin for the fabric',
      remedy: 'Go up in size; walk thick seams by hand',
      perMille: 25,
      side: 'set-up',
      fixMinutes: 1,
      byPhone: true,
      shows: {
        sure: ['size-too-thin'],
        usual: ['needle-break', 'heavy-work'],
        some: ['skip', 'needle-strike', 'overloaded', 'jam'],
        few: ['wander'],
      },
    },
    {
      id: 'needle-point-wrong',
      name: 'Point does not suit the fabric',
      remedy:
        'Ball or stretch point for knits, fine sharp for dense weaves, cutting point for leather',
      perMille: 40,
      side: 'set-up',
      fixMinutes: 1,
      byPhone: true,
      shows: {
        sure: ['point-wrong'],
        usual: ['skip'],
        often: ['wander', 'knit'],
        some: ['pop', 'fabric-rises', 'shred'],
      },
    },
    {
      id: 'needle-eye-small',
      name: 'Eye and groove too small for the thread',
      remedy: 'Larger needle, top-stitch or metallic eye',
      perMille: 30,
      side: 'set-up',
      fixMinutes: 1,
      byPhone: true,
      shows: {
        sure: ['eye-too-small'],
        usual: ['shred', 'top-break'],
        some: ['skip', 'after-thread'],
        few: ['thread-thick'],
      },
    },
    {
      id: 'needle-too-thick',
      name: 'Needle too thick for the fabric or thread',
      remedy: 'Go down in size',
      perMille: 15,
      side: 'set-up',
      fixMinutes: 1,
      byPhone: true,
      shows: {
        sure: ['size-too-thick'],
        often: ['fine-work'],
        some: ['fabric-hurt'],
        few: ['skip', 'pop'],
      },
    },
  ],
  checks: [
    {
      id: 'needle-match',
      title: 'Needle system, size and point against the work',
      minutes: 1,
      access: 'closed',
      where: 'phone',
      place: 'needle',
      how: 'System for the machine (read the packet), size for fabric and thread (does the thread lie in the groove?), point for the fabric.',
      normal: 'System, size and point suit',
      needs: 'looks',
      sweep: 26,
      findings: [
        {
          id: 'system-wrong',
          answer: 'Wrong system or length',
          leak: 0.001,
          defines: 'needle-wrong-system',
        },
        {
          id: 'size-too-thin',
          answer: 'Too thin for the fabric',
          leak: 0.005,
          defines: 'needle-too-thin',
        },
        { id: 'eye-too-small', answer: 'Eye and groove too small for the thread', leak: 0.005 },
        {
          id: 'point-wrong',
          answer: 'Point does not suit the fabric',
          leak: 0.001,
          defines: 'needle-point-wrong',
        },
        {
          id: 'size-too-thick',
          answer: 'Too thick for the fabric or thread',
          leak: 0.001,
          defines: 'needle-too-thick',
        },
      ],
    },
  ],
  actions: [],
} as const satisfies Mechanism;
