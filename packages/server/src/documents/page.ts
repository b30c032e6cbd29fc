import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';

const require = createRequire(import.meta.url);
const FONTS = {
  text: require.resolve(
    '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  ),
  bold: require.resolve(
    '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  ),
} as const;

const POINTS_PER_MM = 72 / 25.4;

/** Millimetres as the points that a PDF counts in. */
export function mm(length: number): number {
  return length * POINTS_PER_MM;
}

export type Page = PDFKit.PDFDocument;

/**
 * Paper drawn by `draw`, as a PDF; text that comes to the border goes on over a new sheet.
 * @param size width and height in millimetres
 * @param border in millimetres, above and below
 */
export async function sheet(
  title: string,
  size: readonly [width: number, height: number],
  draw: (page: Page) => void | Promise<void>,
  border = 0,
): Promise<Buffer> {
  const page = new PDFDocument({
    size: [mm(size[0]), mm(size[1])],
    margins: { top: mm(border), bottom: mm(border), left: 0, right: 0 },
    info: { Title: title },
    font: FONTS.text,
  });
  page.registerFont('text', FONTS.text).registerFont('bold', FONTS.bold);
  const chunks: Buffer[] = [];
  page.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<void>((resolve, reject) => {
    page.on('end', resolve);
    page.on('error', reject);
  });
  await draw(page);
  page.end();
  await done;
  return Buffer.concat(chunks);
}

/**
 * A code that opens an address, drawn as squares so that it stays sharp in any size.
 * @param box left, top and side in millimetres
 */
export function drawCode(
  page: Page,
  text: string,
  [left, top, side]: readonly [number, number, number],
): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const step = mm(side) / modules.size;
  page.save();
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (!modules.get(row, column)) continue;
      page.rect(mm(left) + column * step, mm(top) + row * step, step, step);
    }
  }
  page.fill('#000000').restore();
}

interface Line {
  readonly size?: number;
  readonly bold?: boolean;
  readonly align?: 'left' | 'right' | 'center';
  /** In millimetres; what does not fit is cut with dots. */
  readonly width: number;
  readonly height?: number;
}

/** Writes text at a place in millimetres. @returns where it ends, in millimetres from the top */
export function write(
  page: Page,
  text: string,
  [left, top]: readonly [number, number],
  { size = 9, bold = false, align = 'left', width, height }: Line,
): number {
  page
    .font(bold ? 'bold' : 'text')
    .fontSize(size)
    .fillColor('#000000')
    .text(text, mm(left), mm(top), {
      width: mm(width),
      align,
      lineGap: 1,
      ...(height === undefined ? {} : { height: mm(height), ellipsis: true }),
    });
  return page.y / POINTS_PER_MM;
}

/** Where the next line goes that needs so much room: on a new sheet where there is none left. */
export function roomFor(page: Page, top: number, height: number): number {
  const { height: whole, margins } = page.page;
  if (mm(top + height) <= whole - margins.bottom) return top;
  page.addPage();
  return margins.top / POINTS_PER_MM;
}

/** A thin line across. */
export function rule(page: Page, left: number, top: number, width: number): void {
  page
    .moveTo(mm(left), mm(top))
    .lineTo(mm(left + width), mm(top))
    .lineWidth(0.6)
    .stroke('#000000');
}
