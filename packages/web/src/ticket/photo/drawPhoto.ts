const LONGEST_SIDE = 1600;
const QUALITY = 0.85;

/**
 * Draws a picture as it is held, no larger than it need be. What the camera wrote beside it
 * (where, when, with what) does not go onto the canvas.
 * @throws when the file is no picture that this browser can read.
 */
export async function drawPhoto(file: Blob, canvas: HTMLCanvasElement): Promise<void> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
}

/** What is drawn, as a JPEG. */
export function jpegOf(canvas: HTMLCanvasElement): Promise<Blob> {
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('the canvas gave no picture'))),
      'image/jpeg',
      QUALITY,
    );
  });
}

/** A picture as it is sent. */
export async function bytesOf(picture: Blob): Promise<Uint8Array<ArrayBuffer>> {
  return new Uint8Array(await picture.arrayBuffer());
}
