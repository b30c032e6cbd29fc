import { createStore, del, get, set } from 'idb-keyval';

/** A picture that goes with the form: a photo at its place, or the signature. */
export interface Picture {
  readonly place: number | 'signature';
  readonly blob: Blob;
}

const store = createStore('nodo-sheet', 'pictures');
const KEY = 'counter';

/** The pictures that were taken for the form which is kept on this screen. */
export async function readPictures(ticket: string): Promise<readonly Picture[]> {
  const kept = await get<{ readonly sheet: string; readonly pictures: readonly Picture[] }>(
    KEY,
    store,
  ).catch(() => undefined);
  return kept?.sheet === ticket ? kept.pictures : [];
}

/** A device that keeps nothing still takes them in; they are lost only when the page is closed. */
export async function keepPictures(ticket: string, pictures: readonly Picture[]): Promise<void> {
  await (pictures.length === 0
    ? del(KEY, store)
    : set(KEY, { sheet: ticket, pictures }, store)
  ).catch(() => undefined);
}
