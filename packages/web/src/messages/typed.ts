/** What somebody typed as a number, with a comma or a point; undefined when it is none. */
export function readNumber(typed: string): number | undefined {
  const text = typed.trim().replace(',', '.');
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : undefined;
}

const PERCENT = 100;

/** A chance as it is typed in percent; undefined when that is no number. */
export function readPercent(typed: string): number | undefined {
  const percent = readNumber(typed);
  return percent === undefined ? undefined : percent / PERCENT;
}

/** A chance as somebody types it, in percent. */
export function typedPercent(chance: number): string {
  return String(Number((chance * PERCENT).toPrecision(6)));
}

/** What somebody typed as a whole number from 0 on; undefined when it is none. */
export function readWhole(typed: string): number | undefined {
  const value = readNumber(typed);
  return value !== undefined && Number.isInteger(value) && value >= 0 ? value : undefined;
}
