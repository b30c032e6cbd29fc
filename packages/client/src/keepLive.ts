import type { LiveFrame } from '@nodo/api';
import type { Asked } from './call.ts';
import type { LiveStream } from './liveStream.ts';
import type { OfflineCache } from './offlineCache.ts';
import type { Ports } from './ports.ts';

/** One reading, known by its id; what it settles with may be another one's that was under way. */
export type Reading = Promise<{
  readonly error?: unknown;
  readonly requestId?: string | undefined;
}> & { readonly requestId: string };

interface Followed {
  /** Reads again; settles when the answer has taken its place, with an error when there was none. */
  readonly readAgain: () => Reading;
  /** Whether what stands there is a copy of before, for want of an answer. */
  readonly isCopy: () => boolean;
  /** Puts a frame into what was read. False when it does not join on: then it is read again. */
  readonly apply: (frame: LiveFrame) => boolean;
}

/** What belongs to one cache entry. */
interface Life {
  readonly cacheDataLoaded: Promise<unknown>;
  readonly cacheEntryRemoved: Promise<void>;
}

const RETRY_MS = 2_000;

/** How to keep what was asked true to the stream for as long as its cache entry lives. */
export function keepLive({
  stream,
  cache,
  wait,
}: {
  readonly stream: LiveStream;
  readonly cache: OfflineCache;
  readonly wait: Ports['wait'];
}) {
  return (
    asked: Asked,
    life: Life,
    readAgain: () => Reading,
    apply: (frame: LiveFrame) => boolean,
  ): Promise<void> =>
    follow({ stream, wait }, { readAgain, isCopy: () => cache.isCopy(asked), apply }, life);
}

/**
 * Keeps something that was read true to the stream, from the first reading until it is not
 * wanted any more. Frames that arrive during a read are applied to the answer, which may
 * be older. A reading that came to nothing is tried again.
 */
async function follow(
  { stream, wait }: { stream: LiveStream; wait: (milliseconds: number) => Promise<void> },
  { readAgain, isCopy, apply }: Followed,
  { cacheDataLoaded, cacheEntryRemoved }: Life,
): Promise<void> {
  const entry = { removed: false };
  let held: LiveFrame[] | undefined = [];
  let onceMore = false;

  const read = async (): Promise<void> => {
    held ??= [];
    onceMore = false;
    while (!(await isReadNow()) && !entry.removed);
    await layOver();
  };
  /** A reading that was under way already may be older than what made us read: it does not count. */
  const isReadNow = async (): Promise<boolean> => {
    const reading = readAgain();
    const { error, requestId } = await reading;
    if (error !== undefined) await wait(RETRY_MS);
    return error === undefined && requestId === reading.requestId;
  };
  const layOver = async (): Promise<void> => {
    const said = held ?? [];
    held = undefined;
    // Both in one go: what comes between would be lost.
    const fits = said.every(apply) && !onceMore;
    if (!fits && !entry.removed) await read();
  };
  const readFirst = async (): Promise<void> => {
    let loaded = false;
    const loading = cacheDataLoaded.then(() => {
      loaded = true;
    });
    const trying = async (): Promise<void> => {
      await wait(RETRY_MS);
      while (!loaded && !entry.removed) {
        await readAgain();
        await wait(RETRY_MS);
      }
    };
    void trying();
    await loading;
    await (isCopy() ? read() : layOver());
  };

  const stop = stream.listen((frame) => {
    if (held && frame.kind === 'resync') onceMore = true;
    else if (held) held.push(frame);
    else if (frame.kind === 'resync' || !apply(frame)) void read();
  });
  // Rejected when the entry goes before anything was read.
  readFirst().catch(() => undefined);
  await cacheEntryRemoved;
  entry.removed = true;
  stop();
}
