/** What somebody typed as a number, with a comma or a point; undefined when it is none. */
export function readNumber(typed: string): number | undefined {
  const text = typed.trim().replace(',', '.');
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : undefined;
}

/** What somebody typed as a whole number from 0 on; undefined when it is none. */
export function readWhole(typed: string): number | undefined {
  const value = readNumber(typed);
  return value !== undefined && Number.isInteger(value) && value >= 0 ? value : undefined;
}
