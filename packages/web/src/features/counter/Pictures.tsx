import { useState } from 'react';
import { later } from '../../messages/later.ts';
import { MOST_PHOTOS } from '../../shop/intake/intake.ts';
import { drawPhoto, jpegOf } from '../../ticket/photo/drawPhoto.ts';
import { Preview } from '../../ticket/photo/Preview.tsx';
import { SignaturePad } from '../../ticket/photo/SignaturePad.tsx';
import { Button } from '../../ui/Button.tsx';
import { PictureChooser } from '../../ui/PictureChooser.tsx';
import type { Picture } from './pictures.ts';

/** Photos of the machine as it came, and the customer's signature. */
export function Pictures({
  pictures,
  onChange,
}: {
  readonly pictures: readonly Picture[];
  readonly onChange: (pictures: readonly Picture[]) => void;
}) {
  const [unreadable, setUnreadable] = useState(false);
  const words = later.counter.pictures;
  const photos = pictures.filter(({ place }) => place !== 'signature');
  const free = Array.from({ length: MOST_PHOTOS }, (_, index) => index).find(
    (index) => !photos.some((one) => one.place === index),
  );
  const add = async (file: File) => {
    if (free === undefined) return;
    try {
      const canvas = document.createElement('canvas');
      await drawPhoto(file, canvas);
      onChange([...pictures, { place: free, blob: await jpegOf(canvas) }]);
      setUnreadable(false);
    } catch {
      setUnreadable(true);
    }
  };
  const without = (place: Picture['place']) => pictures.filter((one) => one.place !== place);
  return (
    <div className="mt-6 grid gap-6 md:grid-cols-2">
      <section aria-label={words.photos}>
        <h2 className="mb-2 font-semibold">{words.photos}</h2>
        <ul className="mb-2 flex flex-wrap gap-3">
          {photos.map(({ place, blob }, at) => (
            <li key={place} className="flex flex-col items-start">
              <Preview blob={blob} account={words.photo(at + 1)} />
              <Button look="quiet" onClick={() => onChange(without(place))}>
                {words.remove(at + 1)}
              </Button>
            </li>
          ))}
        </ul>
        {free !== undefined && (
          <PictureChooser fromCamera label={words.take} onFile={(file) => void add(file)} />
        )}
        {unreadable && (
          <p role="alert" className="font-semibold text-hazard">
            {later.bench.photo.unreadable}
          </p>
        )}
      </section>
      <SignaturePad
        signed={pictures.find(({ place }) => place === 'signature')?.blob}
        onSigned={(blob) =>
          onChange(
            blob ? [...without('signature'), { place: 'signature', blob }] : without('signature'),
          )
        }
      />
    </div>
  );
}
