import { seeded } from '../../chance/seeded.ts';
import type { Point } from '../../linkage/aroundDisc.ts';
import { bellKernel } from '../bell.ts';
import { CARD } from '../card.ts';
import { type Homography, homographyOf, through } from '../homography.ts';
import { byteOfLight, type Picture } from '../picture.ts';
import { TEXELS, type Texture } from './sampleTexture.ts';
import { normal, radians } from './sewnSeam.ts';

/** How a sample is photographed. */
export interface Shot {
  readonly seed: number;
  /** Pixels a millimetre in the middle. */
  readonly scale: number;
  /** Of the card in the picture, in degrees. */
  readonly turned: number;
  /** Of the camera against upright, in degrees, and towards where. */
  readonly tilted: number;
  readonly tiltedTo: number;
  /** Standard deviation of the blur, in pixels. */
  readonly blur: number;
  /** Standard deviation of the noise, as a part of the most that the picture can hold. */
  readonly noise: number;
  /** How much less light there is at the darkest corner, as a part. */
  readonly falloff: number;
  /** A soft shadow that lies over a part. */
  readonly shadow: boolean;
}

const PAPER = 0.82;
const INK = 0.03;
const TABLE = 0.25;
/** Round the card, as a part of it. */
const AROUND = 0.06;
/** No lens is sharper; in pixels. */
const LEAST_BLUR = 0.4;
/** From the camera to the card, in widths of the card. */
const AWAY = 2.6;

/** Photographs a card with a sample on it. */
export function renderSample(texture: Texture, shot: Shot): Picture {
  const { toPicture, width, height } = viewOf(shot);
  const light = new Float32Array(3 * width * height);
  const back = homographyOf(
    CARD.marks.map((mark) => through(toPicture, mark)),
    CARD.marks,
  );
  const shade = lightOver(shot, width, height);
  const texel = new Float32Array(3);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      seenAt(texture, through(back, { x, y }), texel, 0.5 / shot.scale);
      const strong = shade(x, y);
      for (let part = 0; part < 3; part += 1)
        light[3 * (y * width + x) + part] = strong * (texel[part] ?? 0);
    }
  return developed(
    blurred(light, width, height, Math.max(LEAST_BLUR, shot.blur)),
    width,
    height,
    shot,
  );
}

/** The view of a camera that looks at the middle of the card. */
export function viewOf(shot: Shot): {
  readonly toPicture: Homography;
  readonly width: number;
  readonly height: number;
} {
  const middle = { x: CARD.width / 2, y: CARD.height / 2 };
  const away = AWAY * CARD.width;
  const [turn, tilt, to] = [shot.turned, shot.tilted, shot.tiltedTo].map(radians) as [
    number,
    number,
    number,
  ];
  const project = ({ x, y }: Point): Point => {
    const [fromX, fromY] = [x - middle.x, y - middle.y];
    const [alongX, alongY] = [
      Math.cos(turn) * fromX - Math.sin(turn) * fromY,
      Math.sin(turn) * fromX + Math.cos(turn) * fromY,
    ];
    // Along the way that the camera leans, the card is seen shortened and farther off.
    const lean = Math.cos(to) * alongX + Math.sin(to) * alongY;
    const shorter = lean * (Math.cos(tilt) - 1);
    const distance = away / (away + lean * Math.sin(tilt));
    return {
      x: shot.scale * distance * (alongX + shorter * Math.cos(to)),
      y: shot.scale * distance * (alongY + shorter * Math.sin(to)),
    };
  };
  const edge = AROUND * CARD.width;
  const corners = [
    { x: -edge, y: -edge },
    { x: CARD.width + edge, y: -edge },
    { x: CARD.width + edge, y: CARD.height + edge },
    { x: -edge, y: CARD.height + edge },
  ].map(project);
  const [left, top] = [
    Math.min(...corners.map(({ x }) => x)),
    Math.min(...corners.map(({ y }) => y)),
  ];
  const seen = CARD.marks.map((mark) => {
    const { x, y } = project(mark);
    return { x: x - left, y: y - top };
  });
  return {
    toPicture: homographyOf(CARD.marks, seen),
    width: Math.ceil(Math.max(...corners.map(({ x }) => x)) - left),
    height: Math.ceil(Math.max(...corners.map(({ y }) => y)) - top),
  };
}

/** What lies at a place of the card's plane: sample, marks, paper, table. */
function seenAt(texture: Texture, at: Point, texel: Float32Array, soft: number): void {
  const { frame } = CARD;
  const isOnSample =
    at.x >= frame.left && at.x < frame.right && at.y >= frame.top && at.y < frame.bottom;
  if (isOnSample) {
    lookUp(texture, (at.x - frame.left) * TEXELS - 0.5, (at.y - frame.top) * TEXELS - 0.5, texel);
    return;
  }
  const isOnCard = at.x >= 0 && at.y >= 0 && at.x <= CARD.width && at.y <= CARD.height;
  texel.fill(isOnCard ? PAPER - (PAPER - INK) * inkAt(at, soft) : TABLE);
}

/** How much ink there is, at the marks and on the line to check. */
function inkAt(at: Point, soft: number): number {
  const { ring, dot, hollow, check } = CARD;
  const within = (away: number, radius: number) =>
    Math.min(1, Math.max(0, (radius - away) / (2 * soft) + 0.5));
  for (const [index, mark] of CARD.marks.entries()) {
    const away = Math.hypot(at.x - mark.x, at.y - mark.y);
    if (away > ring.outer + 1) continue;
    const inDot = within(away, dot) - (index === 0 ? within(away, hollow) : 0);
    return within(away, ring.outer) - within(away, ring.inner) + inDot;
  }
  const isOnLine = at.x > check.left && at.x < check.right && Math.abs(at.y - check.y) < 0.15;
  return isOnLine ? 1 : 0;
}

function lookUp({ width, height, data }: Texture, x: number, y: number, texel: Float32Array): void {
  const [inX, inY] = [
    Math.min(width - 1.001, Math.max(0, x)),
    Math.min(height - 1.001, Math.max(0, y)),
  ];
  const [left, top] = [Math.floor(inX), Math.floor(inY)];
  const [right, below] = [inX - left, inY - top];
  const at = 3 * (top * width + left);
  const next = at + 3 * width;
  for (let part = 0; part < 3; part += 1)
    texel[part] =
      (1 - below) * ((1 - right) * (data[at + part] ?? 0) + right * (data[at + 3 + part] ?? 0)) +
      below * ((1 - right) * (data[next + part] ?? 0) + right * (data[next + 3 + part] ?? 0));
}

/** How strong the light is at each place. */
function lightOver({ seed, falloff, shadow }: Shot, width: number, height: number) {
  const random = seeded(seed);
  const heading = 2 * Math.PI * random();
  const edge = (random() - 0.5) * 0.5;
  const bright = 0.9 + 0.1 * random();
  const reach = Math.abs(Math.cos(heading)) + Math.abs(Math.sin(heading));
  return (x: number, y: number) => {
    const across =
      (Math.cos(heading) * (2 * (x / width) - 1) + Math.sin(heading) * (2 * (y / height) - 1)) /
      reach;
    const lit = 1 - falloff * (0.5 + 0.5 * across);
    const shaded = shadow ? 1 - 0.3 / (1 + Math.exp(-14 * (across - edge))) : 1;
    return bright * lit * shaded;
  };
}

/** Blurred along, then down. */
function blurred(light: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const reach = Math.ceil(3 * sigma);
  const kernel = bellKernel(sigma, reach);
  const sum = kernel.reduce((all, one) => all + one, 0);
  const row = 3 * width;
  const along = new Float32Array(light.length);
  const down = new Float32Array(light.length);
  for (let off = -reach; off <= reach; off += 1) {
    const weight = (kernel[off + reach] ?? 0) / sum;
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) {
        const from = y * row + 3 * Math.min(width - 1, Math.max(0, x + off));
        const to = y * row + 3 * x;
        for (let part = 0; part < 3; part += 1)
          along[to + part] = (along[to + part] ?? 0) + weight * (light[from + part] ?? 0);
      }
  }
  for (let off = -reach; off <= reach; off += 1) {
    const weight = (kernel[off + reach] ?? 0) / sum;
    for (let y = 0; y < height; y += 1) {
      const from = row * Math.min(height - 1, Math.max(0, y + off));
      for (let at = 0; at < row; at += 1)
        down[y * row + at] = (down[y * row + at] ?? 0) + weight * (along[from + at] ?? 0);
    }
  }
  return down;
}

function developed(
  light: Float32Array,
  width: number,
  height: number,
  { seed, noise }: Shot,
): Picture {
  const random = seeded(seed + 7);
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let at = 0; at < width * height; at += 1)
    for (let part = 0; part < 3; part += 1)
      data[4 * at + part] = byteOfLight(light[3 * at + part] ?? 0) + 255 * noise * normal(random);
  return { width, height, data };
}
