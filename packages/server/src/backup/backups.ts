import { type BackupState, type NoticeRecord, USUALLY_KEPT } from '@nodo/api';
import { QueryTypes, type Sequelize } from 'sequelize';
import type { BackupPlace } from '../config/settings.ts';
import { withShop } from '../db/connect.ts';
import { writeErased } from '../erasing/erasedList.ts';
import { faultText, type Log } from '../log.ts';
import { BackupFolder } from './folder.ts';
import type { BackupRunner } from './runner.ts';

const DAY_MS = 86_400_000;
/** One is made each day on which the shop works; a long weekend is no reason to worry. */
const OLD_AFTER_DAYS = 5;

/** The backups that a lead sees and asks for. */
export class Backups {
  private readonly folder: BackupFolder;
  private running: Promise<void> | undefined;

  /**
   * @param isOwnShop what is worth saving; the demo's lead is not warned
   * @param log for what a lead learns from the state as well
   */
  constructor(
    private readonly place: BackupPlace,
    private readonly isOwnShop: boolean,
    private readonly runner: BackupRunner,
    private readonly db: Sequelize,
    private readonly now: () => Date,
    private readonly log: Log,
  ) {
    this.folder = new BackupFolder(place);
  }

  async state(): Promise<BackupState> {
    const [key, run, kept, taken] = await Promise.all([
      this.folder.key(),
      this.folder.lastRun(),
      this.folder.kept(),
      this.folder.taken(),
    ]);
    return {
      passphraseSetAt: key?.setAt ?? null,
      keep: key?.keep ?? USUALLY_KEPT,
      running: this.running !== undefined,
      failed: run?.failed ? { at: run.at, why: run.failed } : null,
      kept: kept.map(({ file, at, bytes }) => ({ file, at: at.toISOString(), bytes })),
      takenAt: taken?.at ?? null,
    };
  }

  /** Begins one, unless one is being made already. */
  make(): void {
    this.running ??= this.runner
      .run({ job: 'make' })
      .catch((fault: unknown) =>
        this.log({ level: 'error', event: 'backup-failed', fault: faultText(fault) }),
      )
      .finally(() => {
        this.running = undefined;
      });
  }

  /** @throws BackupFault */
  setPassphrase(passphrase: string, keep: number): Promise<void> {
    return this.runner.run({ job: 'set-passphrase', passphrase, keep });
  }

  pathOf(file: string): Promise<string | undefined> {
    return this.folder.pathOf(file);
  }

  noteTaken(file: string): Promise<void> {
    return this.folder.noteTaken(file, this.now());
  }

  /** Beside the backups, so that whoever restores one of before erases again. */
  async noteErased(shop: string): Promise<void> {
    try {
      await writeErased(this.db, shop, this.place.notes);
    } catch (fault) {
      // Whole again with the next one; the person is erased here all the same.
      this.log({ level: 'error', event: 'erased-not-noted', fault: faultText(fault) });
    }
  }

  /** What the lead of a shop of one's own must know of its backups. */
  async notices(shop: string): Promise<readonly NoticeRecord[]> {
    if (!this.isOwnShop) return [];
    const { passphraseSetAt, failed, kept } = await this.state();
    const now = this.now();
    const record = (notice: NoticeRecord['notice']): NoticeRecord => ({
      id: null,
      at: now.toISOString(),
      notice,
    });
    if (passphraseSetAt === null) {
      return (await this.hasTickets(shop)) ? [record({ kind: 'no-backups' })] : [];
    }
    const [latest] = kept;
    const since = Date.parse(latest?.at ?? passphraseSetAt);
    const days = Math.floor((now.getTime() - since) / DAY_MS);
    return [
      ...(failed ? [record({ kind: 'backup-failed', why: failed.why })] : []),
      ...(days >= OLD_AFTER_DAYS ? [record({ kind: 'backup-old', days })] : []),
    ];
  }

  /** A shop that begins has nothing to lose yet. */
  private hasTickets(shop: string): Promise<boolean> {
    return withShop(this.db, shop, async (transaction) => {
      const rows = await this.db.query('select 1 from ticket_summary where shop_id = $1 limit 1', {
        bind: [shop],
        transaction,
        type: QueryTypes.SELECT,
      });
      return rows.length > 0;
    });
  }
}
