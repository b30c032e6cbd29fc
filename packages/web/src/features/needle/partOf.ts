/** Which part of the needle instrument measures for a check. */
const PART_OF: Readonly<Record<string, string>> = {
  'needle-clamp': 'seat',
  'needle-seat': 'seat',
  'needle-facing': 'seat',
  'needle-square': 'seat',
  'needle-straight': 'condition',
  'needle-nail': 'condition',
  'needle-loupe': 'condition',
  'needle-gum': 'condition',
  'needle-age': 'wear',
  'needle-match': 'fit',
};

/** Where the needle instrument measures for a check of this ticket; undefined where it does not. */
export function instrumentFor(ticket: string, check: string): string | undefined {
  const part = PART_OF[check];
  return part && needleAddress(ticket, part);
}

export function needleAddress(ticket: string, part: string): string {
  return `/bench/${ticket}/needle/${part}`;
}
