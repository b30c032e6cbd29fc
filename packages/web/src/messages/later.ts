import { begin } from './en/begin.ts';
import { bench } from './en/bench.ts';
import { cards } from './en/cards.ts';
import { counter } from './en/counter.ts';
import { data } from './en/data.ts';
import { day } from './en/day.ts';
import { freeing } from './en/freeing.ts';
import { handOut } from './en/handOut.ts';
import { instrument } from './en/instrument.ts';
import { knowledge } from './en/knowledge.ts';
import { phone } from './en/phone.ts';
import { drawing, places } from './en/places.ts';
import { programs } from './en/programs.ts';
import { links, shared, together } from './en/shared.ts';
import { tables } from './en/tables.ts';
import { ticketPage } from './en/ticketPage.ts';
import { inOwnLanguage } from './index.ts';

const en = {
  knowledge,
  freeing,
  phone,
  counter,
  begin,
  bench,
  places,
  drawing,
  tables,
  links,
  shared,
  together,
  cards,
  data,
  instrument,
  day,
  handOut,
  programs,
  ticketPage,
};

/** What is said behind the first picture: everything but sign-in, the ways about and the Rack; read when it is opened. */
export const later = inOwnLanguage<typeof en>({ en });
