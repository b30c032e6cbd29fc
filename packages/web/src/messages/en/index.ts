import { bench } from './bench.ts';
import { cards } from './cards.ts';
import { counter } from './counter.ts';
import { day } from './day.ts';
import { freeing } from './freeing.ts';
import { handOut } from './handOut.ts';
import { instrument } from './instrument.ts';
import { knowledge } from './knowledge.ts';
import { life } from './life.ts';
import { phone } from './phone.ts';
import { drawing, places } from './places.ts';
import { rack } from './rack.ts';
import { refusals } from './refusals.ts';
import { seam } from './seam.ts';
import { links, shared, together } from './shared.ts';
import { shell } from './shell.ts';
import { tables } from './tables.ts';
import { ticketPage } from './ticketPage.ts';

export const en = {
  knowledge,
  freeing,
  shell,
  phone,
  rack,
  counter,
  bench,
  seam,
  refusals,
  places,
  drawing,
  tables,
  links,
  shared,
  together,
  life,
  cards,
  instrument,
  day,
  handOut,
  ticketPage,
};
