import { sampleReading } from '../state/sample.ts';
import { accept, defineEvent, onLife } from './define.ts';
import { atTheBench } from './guards.ts';

/** A sewn sample was measured from pictures; those are kept by entries of their own before. */
export const sampleRead = defineEvent({
  version: 1,
  command: sampleReading,
  body: sampleReading,
  decide: atTheBench((_ticket, command) => accept(command)),
  apply: onLife((life, sample, { seq, observedAt }) => ({
    samples: [...life.samples, { ...sample, seq, at: observedAt }],
  })),
});
