import { type Camera, CLOTHS, type Rgb, type Scene } from './secondRenderer.ts';

/** What a picture is made hard by. */
export const CONDITIONS = [
  'near',
  'far',
  'blur',
  'noise',
  'light',
  'turned',
  'tilted',
  'bent',
  'all',
] as const;
export type Condition = (typeof CONDITIONS)[number];

/** A sample of which everything is known, photographed from both sides. */
export interface BenchCase {
  readonly condition: Condition;
  readonly kind: 'straight' | 'zigzag';
  /** Millimetres along the seam, mean over it, and between the swings. */
  readonly length: number;
  readonly width: number;
  readonly balance: number;
  /** Standard deviation of the holes across the line of the seam, as they lie. */
  readonly wander: number;
  readonly stitches: number;
  readonly skipped: readonly number[];
  readonly thick: number;
  readonly faces: Readonly<
    Record<'top' | 'bottom', { readonly scene: Scene; readonly camera: Camera }>
  >;
}

/** Numbers of a linear congruence, so that the cases come from nothing the reader uses. Source: Knuth, TAOCP 2, MMIX. */
function drawsOf(seed: number): () => number {
  let state = BigInt(seed) * 2654435761n + 1n;
  return () => {
    state = (state * 6364136223846793005n + 1442695040888963407n) & 0xffffffffffffffffn;
    return Number(state >> 11n) / 2 ** 53;
  };
}

const CLOTH_COLOURS: readonly Rgb[] = [
  [0.72, 0.68, 0.6],
  [0.82, 0.82, 0.8],
  [0.4, 0.45, 0.5],
  [0.66, 0.55, 0.56],
  [0.5, 0.6, 0.5],
];
/** Two colours that somebody would take for a sample: strong, and far from each other. */
const PAIRS: readonly (readonly [Rgb, Rgb])[] = [
  [
    [0.5, 0.02, 0.04],
    [0.02, 0.08, 0.45],
  ],
  [
    [0.02, 0.25, 0.1],
    [0.55, 0.03, 0.3],
  ],
  [
    [0.55, 0.2, 0.01],
    [0.03, 0.05, 0.35],
  ],
  [
    [0.3, 0.02, 0.35],
    [0.01, 0.28, 0.12],
  ],
  [
    [0.02, 0.12, 0.5],
    [0.6, 0.28, 0.02],
  ],
];

export function benchCase(condition: Condition, seed: number): BenchCase {
  const draw = drawsOf(1000 * CONDITIONS.indexOf(condition) + seed);
  const between = (least: number, most: number) => least + (most - least) * draw();
  const pick = <Item>(items: readonly Item[]): Item =>
    items[Math.floor(draw() * items.length)] as Item;
  const bell = () => Array.from({ length: 12 }, draw).reduce((sum, one) => sum + one, -6);
  const isHard = (name: Condition) => condition === name || condition === 'all';
  const kind = draw() < 0.6 ? 'straight' : 'zigzag';
  const pitch = kind === 'straight' ? between(1.6, 4) : between(0.6, 2.2);
  const width = kind === 'straight' ? 0 : between(2, 5);
  const leg = Math.hypot(pitch, width);
  const perStitch = condition === 'near' ? 60 : isHard('far') ? 20 : between(28, 50);
  const pixelsPerMm = Math.min(15, Math.max(6, perStitch / leg));
  const stitches = Math.floor(between(60, 74) / pitch);
  const spread = between(0, 0.04);
  const off = between(0, kind === 'straight' ? 0.14 : 0.06);
  const skipped: number[] = [];
  for (let at = 3; at < stitches - 2; at += 1)
    if (draw() < 0.03) {
      skipped.push(at);
      at += 2;
    }
  const aslant = between(-3, 3);
  const bend = isHard('bent') ? between(-25, 25) : 0;
  const holes: { x: number; y: number; caught: boolean }[] = [];
  const offsets: number[] = [];
  let [x, y, run] = [between(12, 18), between(35, 39), 0];
  for (let at = 0; at <= stitches; at += 1) {
    const heading = ((aslant + bend * (at / stitches - 0.5)) * Math.PI) / 180;
    const across = off * bell();
    offsets.push(across);
    const side = across + (at % 2 === 0 ? -width : width) / 2;
    holes.push({
      x: x - side * Math.sin(heading),
      y: y + side * Math.cos(heading),
      caught: !skipped.includes(at),
    });
    if (at === stitches) break;
    const step = pitch * (1 + spread * bell());
    run += step;
    x += step * Math.cos(heading);
    y += step * Math.sin(heading);
  }
  const balance = between(-0.85, 0.85);
  const thick = between(0.23, 0.27);
  const [top, bottom] = pick(PAIRS);
  const [cloth, clothColour] = [pick(CLOTHS), pick(CLOTH_COLOURS)];
  const cameraOf = (): Camera => ({
    pixelsPerMm,
    roll: isHard('turned') ? between(-15, 15) : between(-3, 3),
    pitch: isHard('tilted') ? between(-14, 14) : between(-3, 3),
    yaw: isHard('tilted') ? between(-14, 14) : between(-3, 3),
    blur: isHard('blur') ? 1.5 : between(0.5, 0.8),
    noise: isHard('noise') ? 0.04 : 0.01,
    dim: isHard('light') ? 0.5 : 0.1,
    shadow: isHard('light'),
  });
  const common = { cloth, clothColour, thick, lint: 3 };
  // Turned over about its long side: what was above the line lies below it.
  const turnedOver = holes.map((hole) => ({ ...hole, y: 74 - hole.y }));
  const mean = offsets.reduce((sum, one) => sum + one, 0) / offsets.length;
  return {
    condition,
    kind,
    length: run / stitches,
    width,
    balance,
    wander: Math.sqrt(offsets.reduce((sum, one) => sum + (one - mean) ** 2, 0) / offsets.length),
    stitches,
    skipped,
    thick,
    faces: {
      top: {
        scene: { seed: seed * 2, ...common, own: top, other: bottom, drawn: -balance, holes },
        camera: cameraOf(),
      },
      bottom: {
        scene: {
          seed: seed * 2 + 1,
          ...common,
          own: bottom,
          other: top,
          drawn: balance,
          holes: turnedOver,
        },
        camera: cameraOf(),
      },
    },
  };
}
