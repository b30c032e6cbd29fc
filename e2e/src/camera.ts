import { writeFileSync } from 'node:fs';
import QRCode from 'qrcode';

const WIDTH = 640;
const HEIGHT = 480;
/** Pixels of one square of the code, and of white round it. */
const SQUARE = 9;

/**
 * What a camera would see that is held at a tag: a film of one still picture (YUV4MPEG2, as the
 * browser's pretended camera plays it).
 */
export function filmOfCode(text: string, path: string): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const [left, top] = [WIDTH, HEIGHT].map((side) =>
    Math.floor((side - modules.size * SQUARE) / 2),
  ) as [number, number];
  const light = Buffer.alloc(WIDTH * HEIGHT, 225);
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (!modules.get(row, column)) continue;
      for (let y = 0; y < SQUARE; y += 1) {
        const from = (top + row * SQUARE + y) * WIDTH + left + column * SQUARE;
        light.fill(20, from, from + SQUARE);
      }
    }
  }
  const noColour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), light, noColour]);
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420mpeg2\n`);
  writeFileSync(path, Buffer.concat([head, ...Array.from({ length: 10 }, () => frame)]));
}
