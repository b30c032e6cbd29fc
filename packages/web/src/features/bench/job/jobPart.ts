import type { Session } from '@nodo/api';
import type { RecordEntry } from '../../../ticket/useRecord.ts';
import type { ShownTicket } from '../../../ticket/useShownTicket.ts';

/** What every part of the job sheet is given. */
export interface JobPartProps {
  readonly shown: ShownTicket;
  readonly session: Session;
  readonly record: RecordEntry;
}
