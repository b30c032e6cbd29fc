/** What all instruments of a bench have. */
export const instrument = {
  needle: 'Needle',
  bobbin: 'Bobbin',
  open: 'Measure it with the instrument',
  partsNav: 'What to measure',
  back: 'Back to the bench',
  closed: 'This ticket is closed: readings are shown, not kept.',
  alone: 'Opened alone: readings are shown, not kept. Open it from a ticket to keep them.',
  machineKind: 'Kind of machine',
  likely: 'Likely now',
} as const;
