/** A segment of a JPEG: marker, length, content. */
function segment(kind: number, content: Buffer): Buffer {
  const head = Buffer.from([0xff, kind, 0, 0]);
  head.writeUInt16BE(content.length + 2, 2);
  return Buffer.concat([head, content]);
}

/** A JPEG as to its build, with a picture that nobody would recognise. */
export function jpeg({
  width,
  height,
  beside = [],
  picture = 'picture',
}: {
  readonly width: number;
  readonly height: number;
  /** What applications wrote beside the picture: marker and text. */
  readonly beside?: readonly (readonly [kind: number, text: string])[];
  readonly picture?: string;
}): Buffer {
  const frame = Buffer.alloc(15);
  frame.writeUInt8(8, 0);
  frame.writeUInt16BE(height, 1);
  frame.writeUInt16BE(width, 3);
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0')),
    ...beside.map(([kind, text]) => segment(kind, Buffer.from(text))),
    segment(0xdb, Buffer.alloc(65, 1)),
    segment(0xc0, frame),
    segment(0xc4, Buffer.alloc(20, 1)),
    segment(0xda, Buffer.alloc(10, 1)),
    Buffer.from(picture),
    Buffer.from([0xff, 0xd9]),
  ]);
}
