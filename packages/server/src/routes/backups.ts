import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { type Audited, ENDPOINTS } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import type { Auth } from '../auth/auth.ts';
import type { Caller } from '../auth/people.ts';
import type { Backups } from '../backup/backups.ts';
import { BackupFault } from '../backup/format.ts';
import { erasedOf } from '../erasing/erasedList.ts';
import { asFile, sendStream } from '../http/asFile.ts';
import { route } from '../http/route.ts';

/** @param backups undefined where whoever runs the database makes them */
export function backupRoutes(
  app: Express,
  { people, audit }: Auth,
  backups: Backups | undefined,
  db: Sequelize,
): void {
  const notHere = { ok: false as const, refusal: refuse('no-backups-here') };
  const note = ({ shop, person }: Caller, what: Audited) =>
    audit.note({ shop: shop.id, person: person.id, what });

  route(app, people, ENDPOINTS.readBackups, async () => ({
    ok: true,
    answer: backups ? await backups.state() : null,
  }));

  route(app, people, ENDPOINTS.makeBackup, async ({ session }) => {
    if (!backups) return notHere;
    const { passphraseSetAt } = await backups.state();
    if (passphraseSetAt === null) {
      return { ok: false, refusal: refuse('backup-failed', '', { why: 'no-passphrase' }) };
    }
    await note(session, 'backup-made');
    backups.make();
    return { ok: true, answer: await backups.state() };
  });

  route(app, people, ENDPOINTS.setBackupPassphrase, async ({ body, session }) => {
    if (!backups) return notHere;
    try {
      await backups.setPassphrase(body.passphrase, body.keep);
    } catch (fault) {
      if (!(fault instanceof BackupFault)) throw fault;
      return { ok: false, refusal: refuse('backup-failed', '', { why: fault.code }) };
    }
    await note(session, 'backup-passphrase-set');
    // The first one at once: a passphrase alone saves nothing.
    backups.make();
    return { ok: true, answer: await backups.state() };
  });

  route(app, people, ENDPOINTS.takeBackup, async ({ params, session, response }) => {
    const path = await backups?.pathOf(params.file);
    if (!backups || path === undefined) {
      return { ok: false, refusal: refuse('no-such-backup', 'params.file') };
    }
    await note(session, 'backup-taken');
    asFile(response, params.file, 'application/octet-stream');
    response.set('content-length', String((await stat(path)).size));
    // What was broken off lies nowhere.
    if (await sendStream(response, createReadStream(path))) await backups.noteTaken(params.file);
    return 'answered';
  });

  route(app, people, ENDPOINTS.takeErased, async ({ session, response }) => {
    const list = await erasedOf(db, session.shop.id);
    asFile(response, `erased-${session.shop.id}.json`, 'application/json');
    response.end(JSON.stringify(list));
    return 'answered';
  });
}
