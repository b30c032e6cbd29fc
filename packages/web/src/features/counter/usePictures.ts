import { useEffect, useState } from 'react';
import { keepPictures, type Picture, readPictures } from './pictures.ts';

/** The pictures of a sheet, kept on this screen like the rest of it. */
export function usePictures(sheet: string): {
  readonly pictures: readonly Picture[];
  readonly set: (pictures: readonly Picture[]) => void;
} {
  const [kept, setKept] = useState<{
    readonly sheet: string;
    readonly pictures: readonly Picture[];
  }>({ sheet, pictures: [] });
  useEffect(() => {
    const over = { is: false };
    void readPictures(sheet).then((pictures) => {
      if (!over.is)
        setKept((now) =>
          now.sheet === sheet && now.pictures.length > 0 ? now : { sheet, pictures },
        );
    });
    return () => {
      over.is = true;
    };
  }, [sheet]);
  return {
    pictures: kept.sheet === sheet ? kept.pictures : [],
    set: (pictures) => {
      setKept({ sheet, pictures });
      void keepPictures(sheet, pictures);
    },
  };
}
