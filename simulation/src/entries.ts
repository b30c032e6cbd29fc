/** An entry as a screen makes it. */
interface Entry {
  readonly type: string;
  readonly command: object;
}

/** A note in many scripts. @param count how many entries there were before */
export function noteEntry(count: number, ticket: string): Entry {
  return {
    type: 'observation-noted',
    command: { words: `seen ${count} on ${ticket.slice(0, 4)} ’“” بكرة 🧵` },
  };
}

export function answerEntry(draw: () => number): Entry {
  const answer = draw() < 0.5 ? 'yes' : 'no';
  return {
    type: 'findings-recorded',
    command: { check: 'winder', answers: { 'winder-on': answer } },
  };
}

/** What belongs to a ticket besides the diagnosis; some of it is refused where it is so already. */
export function lifeEntry(draw: () => number): Entry {
  const day = `2026-12-${String(1 + Math.floor(draw() * 28)).padStart(2, '0')}`;
  const entries: readonly Entry[] = [
    { type: 'clock-started', command: {} },
    { type: 'clock-stopped', command: { why: 'interrupted' } },
    { type: 'day-promised', command: { day } },
    { type: 'price-asked', command: { amount: Math.floor(draw() * 9_000), words: 'a case' } },
    { type: 'price-answered', command: { agreed: draw() < 0.5, how: 'telephone', words: '' } },
    { type: 'part-fitted', command: { words: 'Needle', count: 1, each: 150 } },
    { type: 'placed', command: { shelf: 'B' } },
  ];
  return entries[Math.floor(draw() * entries.length)] as Entry;
}
