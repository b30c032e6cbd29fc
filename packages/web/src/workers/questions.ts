import { SAMPLE_SIDES } from '@nodo/core';
import { day, uuid } from '@nodo/kernel';
import { machineProfile, shopProfile, stitchSettings } from '@nodo/shop';
import { tableChange } from '@nodo/tables';
import { ticketEvent, ticketSummary } from '@nodo/ticket';
import { z } from 'zod';

/** What the page asks of its workers, as they check it when it arrives. */
const events = z.array(ticketEvent);
const changes = z.array(tableChange);

/** A ticket, and what the shop changed in the shipped tables. */
export const ticketQuestion = z.tuple([uuid, events, changes]);

/** A ticket, the changes that are in force, and one that might be. */
export const effectOnTicket = z.tuple([uuid, events, changes, tableChange]);
export const effectOnCases = z.tuple([changes, tableChange]);

/** Everything that a promise depends on. */
export const workshop = z.object({
  rack: z.array(ticketSummary),
  card: shopProfile,
  people: z.array(uuid),
  now: z.object({ day, minute: z.number().int().min(0).max(1440) }),
});

/** The work on a machine that is here or yet to come, in minutes. */
export const askedJob = z.object({
  ticket: uuid.optional(),
  minutes: z.number().min(0),
  spread: z.number().min(0),
});

/** A machine by its family and its record's values, as somebody set it, and which way its hook's point passes. */
export const stitchAsked = z.object({
  family: z.string(),
  service: machineProfile.shape.service,
  settings: stitchSettings,
  passes: z.union([z.literal(1), z.literal(-1)]),
});
export type StitchAsked = z.infer<typeof stitchAsked>;

/** Minutes at the bench for what can be set. */
export const settingMinutes = z.object({
  needle: z.number().min(0),
  timing: z.number().min(0),
  bar: z.number().min(0),
  gap: z.number().min(0),
});

const point = z.object({ x: z.number(), y: z.number() });

/** A picture of one side of a sewn sample, and what was pointed at in it, in its pixels. */
export const pictureAsked = z.object({
  picture: z.instanceof(Blob),
  side: z.enum(SAMPLE_SIDES),
  pointed: z.object({
    ruler: z
      .object({
        marks: z.tuple([point, point]).readonly(),
        millimetres: z.number().positive(),
        ends: z.tuple([point, point]).readonly(),
      })
      .optional(),
    thread: point.optional(),
  }),
});
export type PictureAsked = z.infer<typeof pictureAsked>;

/** A sample that is made up: millimetres, and holes at which it skips. */
export const standInAsked = z.object({
  seed: z.number().int(),
  stitches: z.number().int().min(6).max(60),
  length: z.number().min(0.5).max(6),
  width: z.number().min(0).max(7),
  balance: z.number().min(-1).max(1),
  skipped: z.array(z.number().int().min(1).max(60)),
  loops: z
    .array(z.object({ hole: z.number().int().min(0).max(60), across: z.number().min(0).max(10) }))
    .optional(),
});
