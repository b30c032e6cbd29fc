import { createHash } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';

/** So many failures cost nothing: everybody mistypes. */
const FREE_FAILURES = 3;
/** So many of one address, whatever the names: a whole shop may come by one. */
const FREE_OF_ADDRESS = 20;
const LONGEST_WAIT_S = 900;
/** Failures are forgotten after an hour without one. */
const FORGOTTEN_AFTER_S = 3600;

/** How long to wait after so many failures in a row: doubles each time, a quarter of an hour at most. */
export function waitAfter(failures: number, free: number): number {
  if (failures < free) return 0;
  return Math.min(LONGEST_WAIT_S, 2 ** (failures - free + 1));
}

interface Counted {
  readonly failures: number;
  readonly wait: number;
}

/**
 * Growing delays on failed sign-ins, per name at an address and per address, kept in the database so
 * that all server processes count alike. An attempt counts as failed before it is looked at:
 * guesses that come all at once gain nothing.
 */
export class SignInDelays {
  constructor(private readonly db: Sequelize) {}

  /** @returns seconds still to wait; 0 when this attempt may be looked at. */
  async begin(who: string, address: string): Promise<number> {
    const wait = await this.count(keyOf('', address), FREE_OF_ADDRESS);
    return wait > 0 ? wait : this.count(keyOf(who, address), FREE_FAILURES);
  }

  private count(key: string, free: number): Promise<number> {
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
        { bind: [key, failures, waitAfter(failures, free)], transaction },
      );
      return 0;
    });
  }

  /** The attempt was none of a guesser. Others' failures at the address stay counted. */
  async passed(who: string, address: string): Promise<void> {
    await this.db.query('delete from sign_in_delay where key = $1', {
      bind: [keyOf(who, address)],
    });
    await this.db.query(
      `update sign_in_delay set failures = greatest(0, failures - 1), until = now() where key = $1`,
      { bind: [keyOf('', address)] },
    );
  }
}

/** Neither names nor addresses are written down. */
function keyOf(who: string, address: string): string {
  return createHash('sha256').update(`${who}\n${address}`).digest('hex');
}
