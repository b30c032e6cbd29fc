import { life } from './life.ts';
import { rack } from './rack.ts';
import { refusals } from './refusals.ts';
import { seam } from './seam.ts';
import { shell } from './shell.ts';

export const en = {
  shell,
  rack,
  seam,
  refusals,
  life,
};
