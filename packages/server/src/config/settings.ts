import { z } from 'zod';

const account = z.object({ user: z.string(), password: z.string() });

/** Where backups lie, and where is noted what they are sealed with and how it went. */
export const backupPlace = z.object({
  /** In the data folder: still there when the disk with the backups is not. */
  notes: z.string(),
  /** Of the backups themselves; the same, or on another disk. */
  files: z.string(),
});
export type BackupPlace = z.infer<typeof backupPlace>;

/** For the other benches of the shop. */
const lan = z.object({
  host: z.string(),
  port: z.number().int(),
  /** Both as other devices call them. */
  address: z.url(),
  door: z.url(),
  /** All PEM. */
  cert: z.string(),
  key: z.string(),
  /** Passwords that everybody knows, and whose they are: not taken over the network. */
  refused: z.array(z.object({ person: z.uuid(), password: z.string() })),
});
export type LanSettings = z.infer<typeof lan>;

/** What the start command hands to the server's programs. */
export const settings = z.object({
  host: z.string(),
  port: z.number().int(),
  /** By which it is reached besides the loopback's: this computer's, a proxy's. */
  names: z.array(z.string()).default([]),
  /** Folder with the built pages. */
  webRoot: z.string(),
  /** Folder for what is kept outside the database. */
  photos: z.string(),
  sessionSecret: z.string().min(32),
  /** Where the start command keeps the backups of this data; left out where somebody else makes them. */
  backups: backupPlace.extend({ isOwnShop: z.boolean() }).optional(),
  lan: lan.optional(),
  database: z.object({
    host: z.string(),
    port: z.number().int(),
    name: z.string(),
    app: account,
    listener: account,
    /** Only the migrations have it. */
    owner: account.optional(),
  }),
});
export type Settings = z.infer<typeof settings>;
export type DatabaseSettings = Settings['database'];
export type Account = z.infer<typeof account>;
