import { BALANCED, balanceRead } from '@nodo/core';
import type { CheckId, FamilyModel, FindingId } from '@nodo/knowledge';
import { SHOWS } from '@nodo/shop';
import { changesOf, type KeptTry, type SeamKind, type Ticket } from '@nodo/ticket';

/** Where a sample is read along its seam. */
export const PLACES = [0, 1, 2] as const;
export type Place = (typeof PLACES)[number];
/** What was read at each, as far as somebody looked. */
export type ReadPlaces = readonly (number | undefined)[];
export const UNREAD: ReadPlaces = PLACES.map(() => undefined);

/** The pictures of the atlas, from the knot on top to the knot below. */
export const ATLAS = [-1, -0.6, -0.3, 0, 0.3, 0.6, 1] as const;
export const SLIDE = { least: -1, most: 1, step: 0.05 } as const;

/** Seams as they are drawn: two plies of plain cotton with a common thread; the zigzag is the proof's, 4 by 4. */
export const SEAMS = {
  straight: { length: 3, width: 0, fabric: 0.8, thread: 0.25, stitches: 6 },
  zigzag: { length: 4, width: 4, fabric: 0.8, thread: 0.25, stitches: 5 },
} as const satisfies Record<SeamKind, object>;

/** The dial’s usual middle mark: common practice. */
const MIDDLE = { least: 3, most: 5 } as const;

export function readingsOf(read: ReadPlaces): readonly number[] {
  return read.filter((one) => one !== undefined);
}

/** The place that is read next: the first that nobody read yet, else the same again. */
export function nextPlace(read: ReadPlaces, now: Place): Place {
  return PLACES.find((place) => place > now && read[place] === undefined) ?? now;
}

/** What a try says of a check, for the causes. */
export interface TriedLook {
  readonly check: CheckId;
  readonly answers: Readonly<Partial<Record<FindingId, 'yes' | 'no'>>>;
}

/**
 * What a try is an answer to: the first one, with nothing changed yet, to how the machine sewed as it came in; a later
 * one at the middle mark, on a machine that came with its dial elsewhere, to what the middle mark does. A knot that is
 * wanted off the middle, or lies so near to it that one may see it or not, says nothing.
 * @param before the tries that count, without this one
 */
export function lookOf(
  tried: KeptTry,
  before: readonly KeptTry[],
  ticket: Ticket,
  model: FamilyModel,
): TriedLook | undefined {
  const balance = balanceRead(tried);
  const far = Math.abs(balance);
  if (tried.wanted !== 0 || (far > BALANCED && far < SHOWS)) return undefined;
  if (ticket.life.tries.length === 0 && changesOf(ticket).length === 0) {
    return { check: 'found-sew', answers: knotAnswers(balance, model) };
  }
  const camesElsewhere = before.some(({ dial }) => !isMiddle(dial));
  const isAsked = ticket.looks.some(({ check }) => check === ('mid-dial-sew' satisfies CheckId));
  if (!isMiddle(tried.dial) || !camesElsewhere || isAsked || tried.screw !== 0) return undefined;
  return { check: 'mid-dial-sew', answers: { 'mid-cures': far <= BALANCED ? 'yes' : 'no' } };
}

/** What a balance is in findings of the sample; loopers have no bobbin thread. */
export function knotAnswers(balance: number, model: FamilyModel): TriedLook['answers'] {
  const answers = {
    'found-top-under': balance > SHOWS ? 'yes' : 'no',
    'found-bobbin-top': balance < -SHOWS ? 'yes' : 'no',
  } as const;
  return model.findings.has('found-bobbin-top')
    ? answers
    : { 'found-top-under': answers['found-top-under'] };
}

function isMiddle(dial: number): boolean {
  return dial >= MIDDLE.least && dial <= MIDDLE.most;
}

/** A number of the dial as it is read: whole, halves, quarters. */
export function dialWords(dial: number): string {
  const whole = Math.floor(dial);
  const part = { 0.25: '¼', 0.5: '½', 0.75: '¾' }[dial - whole];
  if (part === undefined) return String(Math.round(dial * 100) / 100);
  return `${whole === 0 ? '' : whole}${part}`;
}

/** From where a number is come up to. */
export function lowerThan(dial: number): number {
  return Math.max(0, Math.ceil(dial) - 1);
}
