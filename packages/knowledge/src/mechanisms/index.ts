import { adjustment } from './adjustment.ts';
import { bobbin } from './bobbin.ts';
import { bobbinCase } from './bobbin-case.ts';
import { caseTension } from './case-tension.ts';
import { drive } from './drive.ts';
import { hook } from './hook.ts';
import { interview } from './interview.ts';
import { needleChoice } from './needle-choice.ts';
import { needleCondition } from './needle-condition.ts';
import { needleSeating } from './needle-seating.ts';
import { plate } from './plate.ts';
import { sewOut } from './sew-out.ts';
import { spool } from './spool.ts';
import { technique } from './technique.ts';
import { tension } from './tension.ts';
import { thread } from './thread.ts';
import { threading } from './threading.ts';
import { workshop } from './workshop.ts';

/** Every mechanism, one file each: the table of contents of what the trade knows. */
export const MECHANISMS = [
  interview,
  spool,
  threading,
  thread,
  tension,
  needleSeating,
  needleCondition,
  needleChoice,
  bobbin,
  bobbinCase,
  caseTension,
  hook,
  adjustment,
  plate,
  technique,
  drive,
  sewOut,
  workshop,
] as const;
