/**
 * Incomplete elliptic integrals of the first and second kind for a parameter m = k^2, by Carlson's
 * symmetric forms. Source: Carlson 1979, Numerische Mathematik 33; DLMF 19.25, beyond half a turn 19.2.10.
 * @param phi amplitude in radians
 */
export function ellipticF(phi: number, m: number): number {
  const [halfTurns, rest] = withinQuarter(phi);
  return 2 * halfTurns * firstKind(Math.PI / 2, m) + firstKind(rest, m);
}

export function ellipticE(phi: number, m: number): number {
  const [halfTurns, rest] = withinQuarter(phi);
  return 2 * halfTurns * secondKind(Math.PI / 2, m) + secondKind(rest, m);
}

/** So many half turns, and what is left of an angle: at most a quarter to either side. */
function withinQuarter(phi: number): readonly [number, number] {
  const halfTurns = Math.abs(phi) <= Math.PI / 2 ? 0 : Math.round(phi / Math.PI);
  return [halfTurns, phi - halfTurns * Math.PI];
}

function firstKind(phi: number, m: number): number {
  const s = Math.sin(phi);
  return s * carlsonF(Math.cos(phi) ** 2, 1 - m * s * s, 1);
}

function secondKind(phi: number, m: number): number {
  const s = Math.sin(phi);
  const [c, q] = [Math.cos(phi) ** 2, 1 - m * s * s];
  return s * carlsonF(c, q, 1) - (m / 3) * s ** 3 * carlsonD(c, q, 1);
}

/** Differences so small leave an error of about 1e-16 after the series. */
const CLOSE = 1e-3;

function carlsonF(x: number, y: number, z: number): number {
  for (;;) {
    const lambda = Math.sqrt(x * y) + Math.sqrt(y * z) + Math.sqrt(z * x);
    [x, y, z] = [(x + lambda) / 4, (y + lambda) / 4, (z + lambda) / 4];
    const mean = (x + y + z) / 3;
    const [dx, dy, dz] = [1 - x / mean, 1 - y / mean, 1 - z / mean];
    if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) > CLOSE) continue;
    const e2 = dx * dy - dz * dz;
    const e3 = dx * dy * dz;
    return (1 - e2 / 10 + e3 / 14 + (e2 * e2) / 24 - (3 * e2 * e3) / 44) / Math.sqrt(mean);
  }
}

function carlsonD(x: number, y: number, z: number): number {
  let sum = 0;
  let factor = 1;
  for (;;) {
    const lambda = Math.sqrt(x * y) + Math.sqrt(y * z) + Math.sqrt(z * x);
    sum += factor / (Math.sqrt(z) * (z + lambda));
    factor /= 4;
    [x, y, z] = [(x + lambda) / 4, (y + lambda) / 4, (z + lambda) / 4];
    const mean = (x + y + 3 * z) / 5;
    const [dx, dy, dz] = [1 - x / mean, 1 - y / mean, 1 - z / mean];
    if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) > CLOSE) continue;
    const [ea, eb] = [dx * dy, dz * dz];
    const ec = ea - eb;
    const ed = ea - 6 * eb;
    const ee = ed + 2 * ec;
    const series =
      1 +
      ed * (-3 / 14 + (9 / 88) * ed - (9 / 52) * dz * ee) +
      dz * (ee / 6 + dz * (-(9 / 22) * ec + (3 / 26) * dz * ea));
    return 3 * sum + (factor * series) / (mean * Math.sqrt(mean));
  }
}
