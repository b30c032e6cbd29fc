import jsQR from 'jsqr';
import { useEffect, useRef, useState } from 'react';
import { m } from '../../messages/index.ts';
import { ticketOnTag } from '../../shop/tagAddress.ts';
import { Modal } from '../../ui/Modal.tsx';

/** Frames a second that are looked through; more would only warm the device. */
const LOOK_EVERY_MS = 150;

/** Reads a shelf tag with the camera of the screen. */
export default function ScanDialog({
  onClose,
  onTicket,
}: {
  readonly onClose: () => void;
  readonly onTicket: (ticket: string) => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<'looking' | 'no-camera' | 'not-ours'>('looking');
  const found = useRef(onTicket);
  useEffect(() => {
    found.current = onTicket;
  });
  useEffect(() => {
    const over = { is: false };
    let camera: MediaStream | undefined;
    const canvas = document.createElement('canvas');
    const look = (): void => {
      const shown = video.current;
      const context = canvas.getContext('2d', { willReadFrequently: true });
      if (!shown || !context || shown.videoWidth === 0) return;
      canvas.width = shown.videoWidth;
      canvas.height = shown.videoHeight;
      context.drawImage(shown, 0, 0);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      const code = jsQR(data, width, height, { inversionAttempts: 'dontInvert' });
      if (!code) return;
      const ticket = ticketOnTag(code.data);
      if (ticket === undefined) setState('not-ours');
      else if (!over.is) found.current(ticket);
    };
    const begin = async (): Promise<void> => {
      try {
        camera = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment' },
        });
        if (over.is || !video.current) return;
        video.current.srcObject = camera;
        await video.current.play();
      } catch {
        if (!over.is) setState('no-camera');
      }
    };
    void begin().then(() => {
      if (over.is) for (const track of camera?.getTracks() ?? []) track.stop();
    });
    const timer = setInterval(look, LOOK_EVERY_MS);
    return () => {
      over.is = true;
      clearInterval(timer);
      for (const track of camera?.getTracks() ?? []) track.stop();
    };
  }, []);
  const words = m.life.find;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={words.scanTitle}
      closeLabel={words.scanClose}
    >
      {state === 'no-camera' ? (
        <p>{words.noCamera}</p>
      ) : (
        <video
          ref={video}
          muted
          playsInline
          aria-label={words.scanTitle}
          className="max-h-[60vh] w-full rounded-md bg-sunk"
        />
      )}
      <p role="status" className="mt-2 min-h-6 font-semibold">
        {state === 'not-ours' ? words.notOurs : ''}
      </p>
    </Modal>
  );
}
