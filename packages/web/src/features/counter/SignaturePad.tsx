import { type PointerEvent, useRef, useState } from 'react';
import { m } from '../../messages/index.ts';
import { jpegOf } from '../../ticket/photo/drawPhoto.ts';
import { Button } from '../../ui/Button.tsx';
import { Preview } from './Preview.tsx';

/** The paper that is signed on, in pixels. */
const WIDTH = 640;
const HEIGHT = 220;
const PEN = 3.5;

/** A line to sign on with finger, pen or mouse; a signature on paper is as good. */
export function SignaturePad({
  signed,
  onSigned,
}: {
  readonly signed: Blob | undefined;
  readonly onSigned: (signature: Blob | undefined) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [hasInk, setHasInk] = useState(false);
  const words = m.counter.signature;

  /** On white, however dark the screen: it is printed. */
  const paper = (): CanvasRenderingContext2D | undefined => {
    const pen = canvas.current?.getContext('2d') ?? undefined;
    if (!pen) return undefined;
    pen.fillStyle = '#ffffff';
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    pen.strokeStyle = '#10203f';
    pen.lineWidth = PEN;
    pen.lineCap = 'round';
    pen.lineJoin = 'round';
    return pen;
  };
  const at = ({ nativeEvent, currentTarget }: PointerEvent<HTMLCanvasElement>) => ({
    x: (nativeEvent.offsetX * WIDTH) / currentTarget.clientWidth,
    y: (nativeEvent.offsetY * HEIGHT) / currentTarget.clientHeight,
  });
  const down = (event: PointerEvent<HTMLCanvasElement>) => {
    const pen = hasInk ? canvas.current?.getContext('2d') : paper();
    const { x, y } = at(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    pen?.beginPath();
    pen?.moveTo(x, y);
    setHasInk(true);
  };
  const move = (event: PointerEvent<HTMLCanvasElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const pen = canvas.current?.getContext('2d');
    const { x, y } = at(event);
    pen?.lineTo(x, y);
    pen?.stroke();
  };
  const clear = () => {
    setHasInk(false);
    onSigned(undefined);
    canvas.current?.getContext('2d')?.clearRect(0, 0, WIDTH, HEIGHT);
  };

  return (
    <section aria-label={words.title}>
      <h2 className="font-semibold">{words.title}</h2>
      <p className="mb-2 text-sm text-quiet">{words.lead}</p>
      {signed && !hasInk ? (
        <Preview blob={signed} account={words.account} />
      ) : (
        <canvas
          ref={canvas}
          width={WIDTH}
          height={HEIGHT}
          data-signature
          aria-label={words.line}
          role="img"
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={() => {
            if (canvas.current) void jpegOf(canvas.current).then(onSigned);
          }}
          className="h-28 w-full max-w-lg touch-none rounded-md border-2 border-dashed border-edge bg-white"
        />
      )}
      {(signed || hasInk) && (
        <Button look="quiet" onClick={clear}>
          {words.clear}
        </Button>
      )}
    </section>
  );
}
