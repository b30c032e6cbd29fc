/** What all instruments of a bench have. */
export const instrument = {
  needle: 'Needle',
  bobbin: 'Bobbin',
  stitch: 'Stitch',
  tension: 'Tension',
  sample: 'Sample',
  tools: {
    title: 'Tools',
    lead: 'Opened here, a tool shows its readings and keeps none. From a ticket it works on that machine, and what it reads is saved there.',
  },
  open: 'Measure it with the tool',
  gate: {
    title: 'Unplug first',
    text: 'The machine is plugged in. Off and unplugged before hands go in; then what is measured can be saved.',
    afterwards: 'It was unplugged when this was done',
  },
  partsNav: 'What to measure',
  back: 'Back to the bench',
  saved: 'Saved on the ticket.',
  next: 'Next step',
  closed: 'This ticket is closed: readings are shown, not kept.',
  alone: 'Opened alone: readings are shown, not kept. Open it from a ticket to keep them.',
  machineKind: 'Kind of machine',
  likely: 'Likely now',
} as const;
