/**
 * The threshold that parts a histogram in two classes as far apart as can be: what is at most this belongs to the
 * lower. On a plateau the lowest. Source: Otsu, IEEE Trans. SMC 9 (1979) 62.
 */
export function otsuThreshold(histogram: ArrayLike<number>): number {
  let all = 0;
  let moment = 0;
  for (let value = 0; value < histogram.length; value += 1) {
    all += histogram[value] ?? 0;
    moment += value * (histogram[value] ?? 0);
  }
  let [best, threshold, lower, lowerMoment] = [-1, 0, 0, 0];
  for (let value = 0; value < histogram.length; value += 1) {
    lower += histogram[value] ?? 0;
    lowerMoment += value * (histogram[value] ?? 0);
    const upper = all - lower;
    if (lower === 0) continue;
    if (upper === 0) break;
    const apart = lowerMoment / lower - (moment - lowerMoment) / upper;
    const between = lower * upper * apart * apart;
    if (between > best * (1 + 1e-12)) {
      best = between;
      threshold = value;
    }
  }
  return threshold;
}

/** Pixels that touch, corners too. */
export interface Component {
  readonly area: number;
  /** Mean place of its pixels; a pixel's middle is at its whole numbers. */
  readonly x: number;
  readonly y: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

interface Growing {
  area: number;
  sumX: number;
  sumY: number;
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The components of a mask (anything but nothing is in), by runs of a row that are joined with those above. */
export function componentsOf(
  mask: ArrayLike<number>,
  width: number,
  height: number,
): readonly Component[] {
  const parents: number[] = [];
  const found: Growing[] = [];
  const rootOf = (label: number): number => {
    let root = label;
    while ((parents[root] ?? root) !== root) root = parents[root] ?? root;
    parents[label] = root;
    return root;
  };
  const join = (one: number, other: number) => {
    const [a, b] = [rootOf(one), rootOf(other)];
    if (a !== b) parents[Math.max(a, b)] = Math.min(a, b);
  };
  let above: number[] = [];
  for (let y = 0; y < height; y += 1) {
    // Runs of this row: first, last, label.
    const runs: number[] = [];
    let upper = 0;
    for (let x = 0; x < width; x += 1) {
      if (!mask[y * width + x]) continue;
      const first = x;
      while (x + 1 < width && mask[y * width + x + 1]) x += 1;
      const label = parents.length;
      parents.push(label);
      found.push(runOf(first, x, y));
      while (upper < above.length && (above[upper + 1] ?? 0) < first - 1) upper += 3;
      for (let next = upper; next < above.length && (above[next] ?? 0) <= x + 1; next += 3)
        join(label, above[next + 2] ?? label);
      runs.push(first, x, label);
    }
    above = runs;
  }
  return gathered(found, rootOf);
}

function runOf(first: number, last: number, y: number): Growing {
  const area = last - first + 1;
  return {
    area,
    sumX: ((first + last) / 2) * area,
    sumY: y * area,
    left: first,
    right: last,
    top: y,
    bottom: y,
  };
}

function gathered(
  runs: readonly Growing[],
  rootOf: (label: number) => number,
): readonly Component[] {
  const whole = new Map<number, Growing>();
  for (const [label, run] of runs.entries()) {
    const root = rootOf(label);
    const sum = whole.get(root);
    if (!sum) {
      whole.set(root, { ...run });
      continue;
    }
    sum.area += run.area;
    sum.sumX += run.sumX;
    sum.sumY += run.sumY;
    sum.left = Math.min(sum.left, run.left);
    sum.right = Math.max(sum.right, run.right);
    sum.top = Math.min(sum.top, run.top);
    sum.bottom = Math.max(sum.bottom, run.bottom);
  }
  return [...whole.values()].map(({ area, sumX, sumY, ...box }) => ({
    area,
    x: sumX / area,
    y: sumY / area,
    ...box,
  }));
}
