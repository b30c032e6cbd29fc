import { type PointerEvent, useRef, useState } from 'react';
import { later } from '../../messages/later.ts';
import { jpegOf } from '../../ticket/photo/drawPhoto.ts';
import { Button } from '../../ui/Button.tsx';
import { Preview } from './Preview.tsx';

/** The paper that is signed on, in pixels. */
const WIDTH = 640;
const HEIGHT = 220;
const LINE_WIDTH = 3.5;

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
  const words = later.counter.signature;

  /** On white, however dark the screen: it is printed. */
  const paper = (): CanvasRenderingContext2D | undefined => {
    const context = canvas.current?.getContext('2d') ?? undefined;
    if (!context) return undefined;
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, WIDTH, HEIGHT);
    context.strokeStyle = '#10203f';
    context.lineWidth = LINE_WIDTH;
    context.lineCap = 'round';
    context.lineJoin = 'round';
    return context;
  };
  const at = ({ nativeEvent, currentTarget }: PointerEvent<HTMLCanvasElement>) => ({
    x: (nativeEvent.offsetX * WIDTH) / currentTarget.clientWidth,
    y: (nativeEvent.offsetY * HEIGHT) / currentTarget.clientHeight,
  });
  const down = (event: PointerEvent<HTMLCanvasElement>) => {
    const context = hasInk ? canvas.current?.getContext('2d') : paper();
    const { x, y } = at(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    context?.beginPath();
    context?.moveTo(x, y);
    setHasInk(true);
  };
  const move = (event: PointerEvent<HTMLCanvasElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const context = canvas.current?.getContext('2d');
    const { x, y } = at(event);
    context?.lineTo(x, y);
    context?.stroke();
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
