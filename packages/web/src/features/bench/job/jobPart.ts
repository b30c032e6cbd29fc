import type { Session } from '@nodo/api';
import type { RecordEntry } from '../useRecord.ts';
import type { ShownTicket } from '../useShownTicket.ts';

/** What every part of the job sheet is given. */
export interface JobPartProps {
  readonly shown: ShownTicket;
  readonly session: Session;
  readonly record: RecordEntry;
}
