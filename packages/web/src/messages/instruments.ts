import { bobbin } from './en/bobbin.ts';
import { bobbinCase, bobbinCondition } from './en/bobbinCondition.ts';
import { marks } from './en/marks.ts';
import { needle } from './en/needle.ts';
import { sample } from './en/sample.ts';
import { stitch } from './en/stitch.ts';
import { tension } from './en/tension.ts';
import { tensionPath } from './en/tensionPath.ts';
import { tensionPull } from './en/tensionPull.ts';
import { inOwnLanguage } from './index.ts';

const en = {
  needle,
  bobbin,
  bobbinCondition,
  bobbinCase,
  marks,
  sample,
  stitch,
  tension,
  tensionPath,
  tensionPull,
};

/** What the instruments say: read with them, not with the first page. */
export const instruments = inOwnLanguage<typeof en>({ en });
