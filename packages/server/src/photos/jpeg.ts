/** A JPEG with everything left out that is not the picture. */
export interface CleanJpeg {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

const MARKER = 0xff;
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
/** Frames that browsers write: baseline, extended, progressive. */
const FRAMES: ReadonlySet<number> = new Set([0xc0, 0xc1, 0xc2]);
/** Tables that the picture is drawn with: quantisation, Huffman, restart. */
const TABLES: ReadonlySet<number> = new Set([0xdb, 0xc4, 0xdd]);
/** How the colours are meant; everything else that applications write is about somebody. */
const COLOURS: ReadonlySet<number> = new Set([0xe0, 0xee]);
const MOST_PIXELS = 20_000_000;

/**
 * Walks a JPEG segment by segment and keeps what the picture needs: position, camera, times,
 * names, thumbnails and comments are left out. Undefined for what is no whole JPEG, or too
 * large. Source of the layout: ITU-T T.81 (1992), annex B.
 */
export function cleanJpeg(given: Buffer): CleanJpeg | undefined {
  if (given[0] !== MARKER || given[1] !== START) return undefined;
  const kept: Buffer[] = [given.subarray(0, 2)];
  let size: { readonly width: number; readonly height: number } | undefined;
  let at = 2;
  while (at + 4 <= given.length) {
    const kind = given[at + 1] as number;
    const length = given.readUInt16BE(at + 2);
    const end = at + 2 + length;
    if (given[at] !== MARKER || length < 2 || end > given.length) return undefined;
    const segment = given.subarray(at, end);
    if (FRAMES.has(kind)) {
      if (length < 8 || size) return undefined;
      size = { height: segment.readUInt16BE(5), width: segment.readUInt16BE(7) };
    }
    if (kind === SCAN) {
      const picture = given.subarray(at, endOfPicture(given, end));
      const isWhole = picture.at(-2) === MARKER && picture.at(-1) === END;
      if (!isWhole || !size || !isOfUse(size)) return undefined;
      return { bytes: Buffer.concat([...kept, picture]), ...size };
    }
    if (FRAMES.has(kind) || TABLES.has(kind) || COLOURS.has(kind)) kept.push(segment);
    at = end;
  }
  return undefined;
}

function isOfUse({ width, height }: { readonly width: number; readonly height: number }): boolean {
  return width > 0 && height > 0 && width * height <= MOST_PIXELS;
}

/** After the first end of image nothing belongs to the picture. */
function endOfPicture(given: Buffer, from: number): number {
  const at = given.indexOf(Buffer.from([MARKER, END]), from);
  return at < 0 ? given.length : at + 2;
}
