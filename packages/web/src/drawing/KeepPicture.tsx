import { Image } from 'lucide-react';
import { type RefObject, useEffect, useState } from 'react';
import { later } from '../messages/later.ts';
import { pictureOf, pointsOf } from './pictureOf.ts';

const FORMATS = ['svg', 'png'] as const;

/** Keeps the drawing that stands within a part of the page as a file. */
export function KeepPicture({
  within,
  name,
}: {
  readonly within: RefObject<HTMLElement | null>;
  /** What the file is called. */
  readonly name: string;
}) {
  const words = later.drawing.keep;
  const [failed, setFailed] = useState(false);
  const [isThere, setIsThere] = useState(false);
  // Drawings come and go with the answers.
  useEffect(() => setIsThere(largestIn(within.current) !== undefined));
  const keep = async (format: (typeof FORMATS)[number]) => {
    const drawing = largestIn(within.current);
    if (!drawing) return;
    try {
      const blob =
        format === 'svg'
          ? new Blob([pictureOf(drawing)], { type: 'image/svg+xml' })
          : await pointsOf(drawing);
      keepFile(blob, `${fileName(name)}.${format}`);
      setFailed(false);
    } catch {
      setFailed(true);
    }
  };
  if (!isThere) return null;
  return (
    <div className="flex items-center gap-1 text-sm text-quiet print:hidden">
      <Image aria-hidden size={16} />
      {words.title}
      {FORMATS.map((format) => (
        <button
          key={format}
          type="button"
          aria-label={words.as(format.toUpperCase())}
          className="min-h-11 min-w-11 px-1 underline decoration-edge underline-offset-4 hover:text-ink hover:decoration-ink"
          onClick={() => void keep(format)}
        >
          {format.toUpperCase()}
        </button>
      ))}
      {failed && <span role="alert">{words.failed}</span>}
    </div>
  );
}

/** Signs stand beside drawings; the drawing is the large one. */
function largestIn(part: HTMLElement | null): SVGSVGElement | undefined {
  const size = (drawing: SVGSVGElement) => {
    const { width, height } = drawing.getBoundingClientRect();
    return width * height;
  };
  return [...(part?.querySelectorAll('svg') ?? [])].toSorted((a, b) => size(b) - size(a))[0];
}

function fileName(name: string): string {
  return name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
}

/** Has the browser keep it, as if it had been behind a link. */
function keepFile(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
