/** From and until, in minutes from midnight; null: not at work. */
export type Shift = [number, number] | null;

const CLOCK = /^(\d{1,2})(?:[:.](\d{2}))?\s*[-–]\s*(\d{1,2})(?:[:.](\d{2}))?$/;

/**
 * Reads the hours of a day: “9-17”, “8:30 – 12:00”; nothing typed is not at work. Undefined for what is
 * neither, or ends before it begins.
 */
export function readShift(typed: string): Shift | undefined {
  const text = typed.trim();
  if (text === '') return null;
  const [, fromHour, fromMinute = '0', untilHour, untilMinute = '0'] = CLOCK.exec(text) ?? [];
  if (fromHour === undefined) return undefined;
  const from = Number(fromHour) * 60 + Number(fromMinute);
  const until = Number(untilHour) * 60 + Number(untilMinute);
  const isClock = Number(fromMinute) < 60 && Number(untilMinute) < 60 && until <= 1440;
  return isClock && from < until ? [from, until] : undefined;
}

/** Hours as they are shown: “9:00–17:00”. */
export function writeShift(shift: Shift): string {
  if (shift === null || shift.some(Number.isNaN)) return '';
  return shift.map(clockOf).join('–');
}

function clockOf(minute: number): string {
  return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
}
