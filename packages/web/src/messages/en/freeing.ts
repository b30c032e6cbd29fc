export const freeing = {
  offer: 'Free it first',
  heading: (step: number, of: number) => `Freeing a nest or a jam, ${step} of ${of}`,
  done: 'Done',
  free: 'It came free',
  stuck: 'It does not come',
  stuckOnPhone: 'It does not come: it is brought in as it is',
  leave: 'Stop here',
  manual: 'The service manual of this machine stands above these words.',
} as const;
