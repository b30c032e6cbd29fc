import { z } from 'zod';

const account = z.object({
  user: z.string(),
  password: z.string(),
  /** Where this account connects, if elsewhere: what listens cannot go through a pooler of transactions. */
  host: z.string().optional(),
  port: z.number().int().optional(),
});

const database = z.object({
  host: z.string(),
  port: z.number().int(),
  name: z.string(),
  /** Left out, the connection is in clear: for a database on this very computer. */
  tls: z
    .object({
      /** PEM of who signed the database's certificate; the system's authorities if left out. */
      ca: z.string().optional(),
    })
    .optional(),
  /** Connections of the application account at most, for each process. */
  pool: z.number().int().positive().optional(),
  app: account,
  listener: account,
  /** Only the migrations have it. */
  owner: account.optional(),
});

/** Photos in an object store, by the S3 protocol. */
const objects = z.object({
  bucket: z.string(),
  /** Before every name, without a slash at its end; empty for none. */
  prefix: z.string(),
  /** Left out, the provider's own of that region. */
  endpoint: z.url().optional(),
  region: z.string(),
  /** Left out, whatever the computer itself has (a role, a file). */
  key: z.object({ id: z.string(), secret: z.string() }).optional(),
});
export type ObjectStore = z.infer<typeof objects>;

/** Where backups lie, and where is noted what they are sealed with and how it went. */
export const backupPlace = z.object({
  /** In the data folder: still there when the disk with the backups is not. */
  notes: z.string(),
  /** Of the backups themselves; the same, or on another disk. */
  files: z.string(),
  /** Stands in their names, so that several shops may share a disk; the beginning of the shop's id. */
  mark: z
    .string()
    .regex(/^[0-9a-f]{8}$/)
    .optional(),
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

/** What a server is told, by the start command or from outside (`outside.ts`). */
export const settings = z.object({
  host: z.string(),
  port: z.number().int(),
  /** By which it is reached besides the loopback's: this computer's, a proxy's. */
  names: z.array(z.string()).default([]),
  /** How many proxies stand before it whose word about who calls is taken. */
  proxies: z.number().int().nonnegative().optional(),
  /** Folder with the built pages. */
  webRoot: z.string(),
  /** Where photos are kept: a folder, or an object store. */
  photos: z.union([z.string(), objects]),
  sessionSecret: z.string().min(32),
  /** Whoever has it may read the metrics; left out, nobody may. */
  metricsSecret: z.string().min(16).optional(),
  /** How long it goes on serving after it was told to stop, while those before it learn of it. */
  drainMs: z.number().nonnegative().optional(),
  /** Whether each answer is a line of the log. */
  logsRequests: z.boolean().optional(),
  /** Where the start command keeps the backups of this data; left out where somebody else makes them. */
  backups: backupPlace.extend({ isOwnShop: z.boolean() }).optional(),
  lan: lan.optional(),
  database,
});
export type Settings = z.infer<typeof settings>;
export type DatabaseSettings = Settings['database'];
export type Account = z.infer<typeof account>;
