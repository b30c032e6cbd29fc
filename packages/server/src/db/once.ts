import { QueryTypes, type Sequelize } from 'sequelize';

/**
 * Does what is due now and then, in one of all the processes. Whoever dies in the middle has had its turn: what it left
 * undone is done the next time.
 * @returns whether it was due here
 */
export async function periodically(
  db: Sequelize,
  name: string,
  everySeconds: number,
  work: () => Promise<unknown>,
): Promise<boolean> {
  // One statement: of two processes one finds the row as the other left it.
  const mine = await db.query<{ name: string }>(
    `insert into periodic_work as known (name, begun_at) values ($1, now())
     on conflict (name) do update set begun_at = now()
       where known.begun_at < now() - make_interval(secs => $2)
     returning name`,
    { bind: [name, everySeconds], type: QueryTypes.SELECT },
  );
  if (mine.length === 0) return false;
  await work();
  return true;
}

/** Does something unless another process is about it. @returns whether it was done here */
export function unlessElsewhere(
  db: Sequelize,
  name: string,
  work: () => Promise<unknown>,
): Promise<boolean> {
  return db.transaction(async (transaction) => {
    const [turn] = await db.query<{ mine: boolean }>(
      'select pg_try_advisory_xact_lock(hashtextextended($1, 0)) as mine',
      { bind: [name], transaction, type: QueryTypes.SELECT },
    );
    if (turn?.mine) await work();
    return turn?.mine === true;
  });
}
