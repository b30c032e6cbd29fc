import type { ReactNode } from 'react';

/** One state of a part: what it is called here, and the part in it. */
interface Sample {
  readonly state: string;
  readonly shown: ReactNode;
}

/** The parts of a kind, each by its name in the code. */
export type PartStates = Readonly<Record<string, readonly Sample[]>>;
