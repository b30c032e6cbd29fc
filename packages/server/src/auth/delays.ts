import { createHash } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';

/** So many failures cost nothing: everybody mistypes. */
const FREE_FAILURES = 3;
const LONGEST_WAIT_S = 900;
/** Failures are forgotten after an hour without one. */
const FORGOTTEN_AFTER_S = 3600;

/** How long to wait after so many failures in a row: doubles each time, a quarter of an hour at most. */
export function waitAfter(failures: number): number {
  if (failures < FREE_FAILURES) return 0;
  return Math.min(LONGEST_WAIT_S, 2 ** (failures - FREE_FAILURES + 1));
}

interface Counted {
  readonly failures: number;
  readonly wait: number;
}

/**
 * Growing delays on failed sign-ins, per name and address together, kept in the database so
 * that all server processes count alike. An attempt counts as failed before it is looked at:
 * guesses that come all at once gain nothing.
 */
export class SignInDelays {
  constructor(private readonly db: Sequelize) {}

  /** @returns seconds still to wait; 0 when this attempt may be looked at. */
  begin(who: string, address: string): Promise<number> {
    const key = keyOf(who, address);
    return this.db.transaction(async (transaction) => {
      await this.db.query(
        `insert into sign_in_delay (key, failures, last_at, until) values ($1, 0, now(), now())
         on conflict (key) do nothing`,
        { bind: [key], transaction },
      );
      // Whoever counts the same key waits here.
      const [known] = await this.db.query<Counted>(
        `select case when last_at < now() - make_interval(secs => $2) then 0 else failures end
                  as failures,
                ceil(greatest(0, extract(epoch from until - clock_timestamp())))::int as wait
           from sign_in_delay where key = $1 for update`,
        { bind: [key, FORGOTTEN_AFTER_S], type: QueryTypes.SELECT, transaction },
      );
      if (!known || known.wait > 0) return known?.wait ?? 0;
      const failures = known.failures + 1;
      await this.db.query(
        `update sign_in_delay set failures = $2, last_at = now(),
                until = clock_timestamp() + make_interval(secs => $3) where key = $1`,
        { bind: [key, failures, waitAfter(failures)], transaction },
      );
      return 0;
    });
  }

  async passed(who: string, address: string): Promise<void> {
    await this.db.query('delete from sign_in_delay where key = $1', {
      bind: [keyOf(who, address)],
    });
  }
}

/** Neither names nor addresses are written down. */
function keyOf(who: string, address: string): string {
  return createHash('sha256').update(`${who}\n${address}`).digest('hex');
}
