import type { Copies, Copy, KeyValueStorage } from '../src/index.ts';

/** A browser's local storage, in the test's hands. */
export function memoryStorage(kept: Map<string, string>): KeyValueStorage {
  return {
    keys: () => [...kept.keys()],
    get: (key) => kept.get(key) ?? null,
    set: (key, value) => kept.set(key, value),
    remove: (key) => kept.delete(key),
  };
}

/** A browser's copies of what the server said, in the test's hands. */
export function memoryCopies(kept: Map<string, Copy>): Copies {
  return {
    get: (path) => Promise.resolve(kept.get(path)),
    set: (path, copy) => {
      kept.set(path, structuredClone(copy));
      return Promise.resolve();
    },
    clear: () => {
      kept.clear();
      return Promise.resolve();
    },
  };
}
