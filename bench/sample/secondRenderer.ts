/**
 * Pictures of samples that the reader is judged by. Nothing here is shared with the reader or with the renderer that it
 * was tuned on: another camera, other fabrics, other threads, another noise, and the card's numbers written out again.
 * What a balance looks like is the trade's picture of it as docs/method.md words it.
 */
export interface Scene {
  readonly seed: number;
  readonly cloth: Cloth;
  readonly clothColour: Rgb;
  readonly own: Rgb;
  readonly other: Rgb;
  /** Millimetres across a thread. */
  readonly thick: number;
  /** How far the knots are drawn to this face. */
  readonly drawn: number;
  /** Needle holes in order, in millimetres on the card; whether the threads caught there. */
  readonly holes: readonly { readonly x: number; readonly y: number; readonly caught: boolean }[];
  readonly lint: number;
}

export interface Camera {
  readonly pixelsPerMm: number;
  /** Degrees. */
  readonly roll: number;
  readonly pitch: number;
  readonly yaw: number;
  /** Pixels, standard deviation. */
  readonly blur: number;
  /** Part of full scale, standard deviation. */
  readonly noise: number;
  /** Part of the light that is missing at the darkest place. */
  readonly dim: number;
  readonly shadow: boolean;
}

export type Rgb = readonly [number, number, number];
export const CLOTHS = ['linen', 'denim', 'felt', 'print', 'knit'] as const;
export type Cloth = (typeof CLOTHS)[number];

export interface Shown {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

const SHEET = { wide: 110, tall: 74 } as const;
const TARGETS = [
  [9, 9],
  [101, 9],
  [101, 65],
  [9, 65],
] as const;
const WINDOW = { x0: 8, y0: 18, x1: 102, y1: 56 } as const;

/** Whole numbers mixed to a number from 0 to 1: the same for the same. */
function mix(a: number, b: number, seed: number): number {
  let h = (Math.imul(a, 0x27d4eb2d) ^ Math.imul(b, 0x165667b1) ^ Math.imul(seed, 0x9e3779b1)) >>> 0;
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b) >>> 0;
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 0x100000000;
}

/** Smooth noise, 0 to 1. */
function smoothNoise(x: number, y: number, seed: number): number {
  const [i, j] = [Math.floor(x), Math.floor(y)];
  const ease = (t: number) => t * t * (3 - 2 * t);
  const [u, v] = [ease(x - i), ease(y - j)];
  const upper = mix(i, j, seed) * (1 - u) + mix(i + 1, j, seed) * u;
  const lower = mix(i, j + 1, seed) * (1 - u) + mix(i + 1, j + 1, seed) * u;
  return upper * (1 - v) + lower * v;
}

function clothAt(
  cloth: Cloth,
  x: number,
  y: number,
  seed: number,
): readonly [shade: number, tint: number] {
  const yarn = 0.3 + 0.25 * mix(1, 1, seed);
  const [i, j] = [Math.floor(x / yarn), Math.floor(y / yarn)];
  const [inX, inY] = [x / yarn - i - 0.5, y / yarn - j - 0.5];
  const slow = 0.08 * (smoothNoise(x / 9, y / 9, seed + 5) - 0.5);
  switch (cloth) {
    case 'linen': {
      const over = (i + j) % 2 === 0;
      const across = over ? inY : inX;
      const own = over ? mix(0, j, seed) : mix(i, 0, seed + 1);
      return [1.03 + slow + 0.12 * (own - 0.5) - 0.25 * across * across, 0];
    }
    case 'denim': {
      const rib = (((i + 3 * j) % 4) + 4) % 4;
      return [0.98 + slow + (rib === 0 ? 0.16 : -0.03) + 0.1 * (mix(i, j, seed) - 0.5), 0];
    }
    case 'felt':
      return [
        1 +
          slow +
          0.14 * (smoothNoise(x * 3, y * 3, seed) - 0.5) +
          0.1 * (smoothNoise(x * 9, y * 9, seed) - 0.5),
        0,
      ];
    case 'print': {
      const [cellX, cellY] = [Math.floor(x / 6), Math.floor(y / 6)];
      const away = Math.hypot(
        x / 6 - cellX - 0.3 - 0.4 * mix(cellX, cellY, seed),
        y / 6 - cellY - 0.5,
      );
      return [1 + slow - 0.1 * inX * inX - 0.1 * inY * inY, away < 0.2 ? 0.1 : 0];
    }
    case 'knit': {
      const slant = (((y / yarn + Math.abs(inX)) % 1) + 1) % 1;
      return [1.04 + slow - 0.35 * inX * inX - 0.12 * Math.abs(slant - 0.5), 0];
    }
  }
}

interface Sheet {
  /** What lies under the seam. */
  readonly under: (x: number, y: number, out: Float64Array) => void;
  /** Holes and threads over it. */
  readonly over: (x: number, y: number, out: Float64Array) => void;
  /** Whether there is anything finer than a pixel about a place. */
  readonly isFine: (x: number, y: number) => boolean;
}

function sheetOf(scene: Scene): Sheet {
  const caught = scene.holes.filter((hole) => hole.caught);
  const hole = 1.1 * scene.thick;
  const filled = Math.min(1, Math.max(0, (scene.drawn + 0.4) / 1.1));
  const length = 0.45 * Math.max(0, (scene.drawn - 0.7) / 0.3);
  const legs = caught.slice(1).map((b, i) => ({ a: caught[i] as (typeof caught)[0], b }));
  const byColumn = new Map<number, { legs: typeof legs; holes: typeof caught }>();
  const column = (x: number) => {
    const key = Math.floor(x / 2);
    let held = byColumn.get(key);
    if (!held) {
      const [from, to] = [2 * key - 1, 2 * key + 3];
      held = {
        legs: legs.filter(({ a, b }) => Math.max(a.x, b.x) > from && Math.min(a.x, b.x) < to),
        holes: scene.holes.filter((one) => one.x > from && one.x < to),
      };
      byColumn.set(key, held);
    }
    return held;
  };
  const lint = Array.from({ length: scene.lint }, (_, i) => ({
    x: WINDOW.x0 + 90 * mix(i, 1, scene.seed + 3),
    y:
      (mix(i, 2, scene.seed + 3) < 0.5 ? WINDOW.y0 + 4 : WINDOW.y1 - 10) +
      6 * mix(i, 3, scene.seed + 3),
    r: 2 + 5 * mix(i, 4, scene.seed + 3),
  }));
  const put = (out: Float64Array, colour: Rgb, shade: number, much: number) => {
    for (let c = 0; c < 3; c += 1)
      out[c] = (out[c] ?? 0) * (1 - much) + much * shade * (colour[c] ?? 0);
  };
  const isSample = (x: number, y: number) =>
    x >= WINDOW.x0 && x <= WINDOW.x1 && y >= WINDOW.y0 && y <= WINDOW.y1;
  const rows = scene.holes.map(({ y }) => y);
  const [highest, lowest] = [Math.min(...rows) - 0.6, Math.max(...rows) + 0.6];
  const isFine = (x: number, y: number) =>
    isSample(x, y)
      ? y > highest && y < lowest
      : TARGETS.some(([cx, cy]) => Math.hypot(x - cx, y - cy) < 6) || Math.abs(y - 67) < 0.5;
  const under: Sheet['under'] = (x, y, out) => {
    if (!isSample(x, y)) {
      out.fill(onPaper(x, y));
      return;
    }
    const [shade, tint] = clothAt(scene.cloth, x, y, scene.seed);
    for (let c = 0; c < 3; c += 1)
      out[c] = shade * (scene.clothColour[c] ?? 0) * (1 + (c === 0 ? -tint : tint));
    for (const { x: cx, y: cy, r } of lint) {
      const away = Math.abs(Math.hypot(x - cx, y - cy) - r);
      if (away < 0.06 && y > cy) put(out, [0.5, 0.5, 0.5], 1, 0.5);
    }
  };
  const over: Sheet['over'] = (x, y, out) => {
    if (!isSample(x, y)) return;
    const near = column(x);
    const darken = (cx: number, cy: number, much: number) => {
      const away = Math.hypot(x - cx, y - cy) / hole;
      if (away < 1.25) put(out, scene.clothColour, 0.18, much / (1 + Math.exp(26 * (away - 1))));
      return away;
    };
    for (const one of near.holes) if (!one.caught) darken(one.x, one.y, 0.55);
    const strand = (
      a: { x: number; y: number },
      b: { x: number; y: number },
      until: number,
      colour: Rgb,
    ) => {
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      const [ux, uy] = [(b.x - a.x) / long, (b.y - a.y) / long];
      const along = (x - a.x) * ux + (y - a.y) * uy;
      if (along < 0 || along > until * long) return;
      const side = ((x - a.x) * uy - (y - a.y) * ux) / (scene.thick / 2);
      if (Math.abs(side) > 1) return;
      const shine = 0.12 * Math.exp(-18 * (side - 0.3) ** 2);
      const twist = 0.1 * Math.sin(11 * along + 2.2 * side);
      put(out, colour, 0.96 + twist - 0.12 * side * side, 1);
      put(out, [1, 1, 1], 1, shine * 0.5);
    };
    for (const { a, b } of near.legs) strand(a, b, 1, scene.own);
    for (const one of near.holes) {
      if (!one.caught) continue;
      const away = darken(one.x, one.y, 1);
      if (away < filled) put(out, scene.other, 0.97, 1);
    }
    if (length > 0)
      for (const { a, b } of near.legs) {
        strand(a, b, length, scene.other);
        strand(b, a, length, scene.other);
      }
  };
  return { under, over, isFine };
}

function onPaper(x: number, y: number): number {
  if (x > 15 && x < 95 && y > 1 && y < 66) return 0.8;
  if (x < 0 || y < 0 || x > SHEET.wide || y > SHEET.tall)
    return 0.3 + 0.1 * smoothNoise(x / 4, y / 4, 9);
  for (const [i, [cx, cy]] of TARGETS.entries()) {
    const away = Math.hypot(x - cx, y - cy);
    if (away > 5) continue;
    const isInk = away > 3.4 || (away < 2 && (i > 0 || away > 0.9));
    return isInk ? 0.04 : 0.8;
  }
  if (x > 30 && x < 80 && Math.abs(y - 67) < 0.15) return 0.04;
  return 0.8;
}

/** A pinhole camera above the sheet, turned about three axes. */
export function photograph(scene: Scene, camera: Camera): Shown {
  const [roll, pitch, yaw] = [camera.roll, camera.pitch, camera.yaw].map(
    (a) => (a * Math.PI) / 180,
  ) as [number, number, number];
  const distance = 330;
  const focal = camera.pixelsPerMm * distance;
  // Axes of the camera on the sheet: rows of Rz(roll) Rx(pitch) Ry(yaw).
  const [sr, cr, sp, cp, sy, cy] = [
    Math.sin(roll),
    Math.cos(roll),
    Math.sin(pitch),
    Math.cos(pitch),
    Math.sin(yaw),
    Math.cos(yaw),
  ];
  const right = [cr * cy + sr * sp * sy, -sr * cp, -cr * sy + sr * sp * cy] as const;
  const down = [sr * cy - cr * sp * sy, cr * cp, -sr * sy - cr * sp * cy] as const;
  const ahead = [cp * sy, sp, cp * cy] as const;
  const project = (X: number, Y: number): readonly [number, number] => {
    const [x, y] = [X - SHEET.wide / 2, Y - SHEET.tall / 2];
    const z = distance + ahead[0] * x + ahead[1] * y;
    return [(focal * (right[0] * x + right[1] * y)) / z, (focal * (down[0] * x + down[1] * y)) / z];
  };
  const edges = [
    [-5, -5],
    [SHEET.wide + 5, -5],
    [SHEET.wide + 5, SHEET.tall + 5],
    [-5, SHEET.tall + 5],
  ].map(([x = 0, y = 0]) => project(x, y));
  const minX = Math.min(...edges.map(([x]) => x));
  const minY = Math.min(...edges.map(([, y]) => y));
  const width = Math.ceil(Math.max(...edges.map(([x]) => x)) - minX);
  const height = Math.ceil(Math.max(...edges.map(([, y]) => y)) - minY);
  const sheet = sheetOf(scene);
  const [sample, below] = [new Float64Array(3), new Float64Array(3)];
  /** Where the ray through a place of the picture meets the sheet's plane. */
  const seenAt = (i: number, j: number): readonly [number, number] => {
    const [px, py] = [(i + minX) / focal, (j + minY) / focal];
    const a = right[0] - px * ahead[0];
    const c = right[1] - px * ahead[1];
    const d = down[0] - py * ahead[0];
    const e = down[1] - py * ahead[1];
    const det = a * e - c * d;
    return [
      (px * distance * e - c * py * distance) / det + SHEET.wide / 2,
      (a * py * distance - d * px * distance) / det + SHEET.tall / 2,
    ];
  };
  const light = [
    new Float32Array(width * height),
    new Float32Array(width * height),
    new Float32Array(width * height),
  ];
  for (let j = 0; j < height; j += 1)
    for (let i = 0; i < width; i += 1) {
      let [r, g, b] = [0, 0, 0];
      const [middleX, middleY] = seenAt(i, j);
      const isFine = sheet.isFine(middleX, middleY);
      const fine = isFine ? 3 : 1;
      const isOnSample =
        middleX > WINDOW.x0 && middleX < WINDOW.x1 && middleY > WINDOW.y0 && middleY < WINDOW.y1;
      sheet.under(middleX, middleY, below);
      for (let s = 0; s < fine * fine; s += 1) {
        const [X, Y] = isFine
          ? seenAt(
              i + ((s % fine) + 0.5) / fine - 0.5,
              j + (Math.floor(s / fine) + 0.5) / fine - 0.5,
            )
          : [middleX, middleY];
        if (isOnSample) {
          sample.set(below);
          if (isFine) sheet.over(X, Y, sample);
        } else sheet.under(X, Y, sample);
        r += sample[0] ?? 0;
        g += sample[1] ?? 0;
        b += sample[2] ?? 0;
      }
      const lit = lightAt(i / width, j / height, scene.seed, camera) / (fine * fine);
      const at = j * width + i;
      (light[0] as Float32Array)[at] = r * lit;
      (light[1] as Float32Array)[at] = g * lit;
      (light[2] as Float32Array)[at] = b * lit;
    }
  return exposed(light, width, height, scene.seed, camera);
}

function lightAt(x: number, y: number, seed: number, { dim, shadow }: Camera): number {
  const [lampX, lampY] = [mix(1, 7, seed), mix(2, 7, seed)];
  const far = Math.hypot(Math.max(lampX, 1 - lampX), Math.max(lampY, 1 - lampY));
  const lamp = 1 - dim * (Math.hypot(x - lampX, y - lampY) / far) ** 1.5;
  const [handX, handY] = [mix(3, 7, seed), mix(4, 7, seed) * 1.4 - 0.2];
  const hand = shadow
    ? 1 - 0.35 / (1 + Math.exp(16 * (Math.hypot((x - handX) * 1.3, y - handY) - 0.35)))
    : 1;
  return 0.95 * lamp * hand;
}

/** Out of focus, with noise that grows with the light, as bytes. */
function exposed(
  light: Float32Array[],
  width: number,
  height: number,
  seed: number,
  camera: Camera,
): Shown {
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (const [c, one] of light.entries()) {
    const soft = camera.blur > 0.1 ? disced(one, width, camera.blur) : one;
    for (let at = 0; at < soft.length; at += 1) {
      const linear = Math.min(1, Math.max(0, soft[at] ?? 0));
      const level = linear < 0.0031308 ? 12.92 * linear : 1.055 * linear ** 0.41667 - 0.055;
      // Four even ones are nearly normal.
      let noise = -2;
      for (let k = 0; k < 4; k += 1) noise += mix(at, 4 * c + k, seed + 31);
      noise *= Math.sqrt(3);
      data[4 * at + c] = 255 * (level + camera.noise * (0.75 + 0.5 * level) * noise);
    }
  }
  return { width, height, data };
}

/** Three boxes after each other come near a bell of this deviation. */
function disced(from: Float32Array, width: number, sigma: number): Float32Array {
  // A box of width w has the variance (w^2 - 1) / 12; three of them, with a part of a pixel at either end.
  const reach = (Math.sqrt(4 * sigma * sigma + 1) - 1) / 2;
  const whole = Math.floor(reach);
  const rest = reach - whole;
  const share = 1 / (2 * whole + 1 + 2 * rest);
  let now = from;
  for (let pass = 0; pass < 6; pass += 1) {
    const step = pass % 2 === 0 ? 1 : width;
    const next = new Float32Array(now.length);
    for (let off = -whole - 1; off <= whole + 1; off += 1) {
      const weight = (Math.abs(off) > whole ? rest : 1) * share;
      const by = off * step;
      const [first, last] = [Math.max(0, -by), now.length - Math.max(0, by)];
      for (let at = first; at < last; at += 1)
        next[at] = (next[at] ?? 0) + weight * (now[at + by] ?? 0);
    }
    now = next;
  }
  return now;
}
