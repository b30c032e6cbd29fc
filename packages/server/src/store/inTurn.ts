/**
 * Has work on the same thing done one after the other. Between server processes only the
 * database's keys can decide who is first; within one it would be wasted races.
 */
export function inTurn(): <Result>(key: string, work: () => Promise<Result>) => Promise<Result> {
  const last = new Map<string, Promise<unknown>>();
  return (key, work) => {
    const done = (last.get(key) ?? Promise.resolve()).then(work);
    const settled = done.catch(() => undefined);
    last.set(key, settled);
    void settled.then(() => {
      if (last.get(key) === settled) last.delete(key);
    });
    return done;
  };
}
