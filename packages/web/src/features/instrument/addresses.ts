/** Which part of which instrument measures for a check. */
const MEASURED_BY: Readonly<
  Record<string, readonly [instrument: 'needle' | 'bobbin', part: string]>
> = {
  'needle-clamp': ['needle', 'seat'],
  'needle-seat': ['needle', 'seat'],
  'needle-facing': ['needle', 'seat'],
  'needle-square': ['needle', 'seat'],
  'needle-straight': ['needle', 'condition'],
  'needle-nail': ['needle', 'condition'],
  'needle-loupe': ['needle', 'condition'],
  'needle-gum': ['needle', 'condition'],
  'needle-age': ['needle', 'wear'],
  'needle-match': ['needle', 'fit'],
  'bobbin-class': ['bobbin', 'which'],
  'case-pull': ['bobbin', 'tension'],
  'case-drop': ['bobbin', 'tension'],
  'case-gauge': ['bobbin', 'tension'],
  'case-stand': ['bobbin', 'tension'],
};

/** Where an instrument measures for a check of this ticket; undefined where none does. */
export function instrumentFor(ticket: string, check: string): string | undefined {
  const [instrument, part] = MEASURED_BY[check] ?? [];
  return instrument && part && `/bench/${ticket}/${instrument}/${part}`;
}

export function needleAddress(ticket: string, part: string): string {
  return `/bench/${ticket}/needle/${part}`;
}
