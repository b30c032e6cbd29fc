import type { DialPullsChange, PulledBy } from '@nodo/core';

/** The pull of the top thread by the dial. */
export const tensionPull = {
  heading: 'Pull of the top thread by the dial',
  how: 'Threaded as it sews. Draw the thread slowly and steadily at the needle; come up through the numbers, then down again.',
  by: 'Pulled',
  byIs: { gauge: 'by gauge, gf', feel: 'by feel' } as const satisfies Record<PulledBy, string>,
  free: 'Presser up',
  freeWhy: 'The discs are open: it must run free.',
  down: 'Presser down',
  row: (dial: string, going: 'up' | 'down') => `Dial ${dial}, come ${going} to it`,
  felt: ['none', 'light', 'firm', 'hard'],
  notRead: 'not pulled',
  notAPull: 'A pull from 0 to 2000 gf.',
  gauge: {
    title: 'Gauge',
    standIn: 'The stand-in for a gauge makes its readings up: they are shown, not taken over.',
    real: 'Readings come from the connected gauge.',
    start: 'Draw',
    stop: 'Stop',
    connect: 'Connect a gauge',
    reads: (pull: string, error: string) => `${pull} gf ± ${error}`,
    take: (row: string) => `Take it for: ${row}`,
    first: 'Choose what is pulled first.',
  },
  verdict: {
    nothing: 'Pull at three numbers of the dial, coming up: what they say stands here.',
    rises: 'The pull rises at each number.',
    flat: 'The pull does not rise at each number: lint between the discs, or a weak unit.',
    grips: 'Presser down, the discs hold.',
    open: 'Presser down it runs free: the thread is not between the discs, or they do not close.',
    free: 'Presser up it runs free.',
    drags: 'Presser up it drags: something between the discs, or the release does not open them.',
    lag: (percent: string) => `Coming down it pulls up to ${percent} differently than coming up.`,
    lint: 'Lint is likely: presser up, draw a folded cloth through the discs, then pull again.',
    ratio: (times: string) =>
      `At the middle mark it pulls ${times} times what the bobbin thread does.`,
    noBobbin: 'The pull of the bobbin thread was not measured on this ticket.',
  },
  keep: 'Save the pulls',
  lacks: 'nothing was pulled yet',
  baseline: {
    title: 'This machine’s baseline',
    none: 'None yet. Once the machine sews well, its pulls are kept here and held against the next visit.',
    keep: 'Keep as this machine’s baseline',
    kept: 'Kept on the machine’s record.',
    of: (day: string, by: string) => `Pulled ${by}, ${day}`,
    otherWay: 'It was pulled another way then: by feel and by gauge do not compare.',
    change: {
      same: 'As at the baseline.',
      weaker: 'Weaker than at the baseline: lint that holds the discs apart, or a tired spring.',
      stronger:
        'Stronger than at the baseline: another thread, a bent spring, the presser’s own pull.',
      otherwise:
        'Another curve than at the baseline: weaker here, stronger there. Look into the discs.',
    } as const satisfies Record<DialPullsChange['is'], string>,
    times: (times: string) => `Now ${times} times what it was.`,
    columns: { dial: 'Dial', before: 'Baseline', now: 'Now' },
  },
} as const;
