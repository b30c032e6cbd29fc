/** A text of the tables as it stands within a sentence. */
export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** Fewer letters than this give no reason. */
export const LEAST_REASON = 3;

/** Whether what is typed can be kept as a reason. */
export function isReason(typed: string): boolean {
  return typed.trim().length >= LEAST_REASON;
}
