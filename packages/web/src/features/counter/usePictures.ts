import { useEffect, useState } from 'react';
import { keepPictures, type Picture, readPictures } from './pictures.ts';

/** The pictures of a form, kept on this screen like the rest of it. */
export function usePictures(ticket: string): {
  readonly pictures: readonly Picture[];
  readonly set: (pictures: readonly Picture[]) => void;
} {
  const [kept, setKept] = useState<{
    readonly ticket: string;
    readonly pictures: readonly Picture[];
  }>({ ticket, pictures: [] });
  useEffect(() => {
    const over = { is: false };
    void readPictures(ticket).then((pictures) => {
      if (!over.is)
        setKept((now) =>
          now.ticket === ticket && now.pictures.length > 0 ? now : { ticket, pictures },
        );
    });
    return () => {
      over.is = true;
    };
  }, [ticket]);
  return {
    pictures: kept.ticket === ticket ? kept.pictures : [],
    set: (pictures) => {
      setKept({ ticket, pictures });
      void keepPictures(ticket, pictures);
    },
  };
}
