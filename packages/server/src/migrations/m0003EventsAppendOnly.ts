import type { Migration } from './migration.ts';

/** What happened stays: nobody, the owner included, changes or removes an event. */
export const m0003EventsAppendOnly: Migration = {
  name: '0003-events-append-only',
  statements: [
    `create function refuse_event_change() returns trigger language plpgsql as $$
      begin
        raise exception 'ticket events are append-only: % refused', tg_op
          using errcode = 'restrict_violation';
      end $$`,
    `create trigger event_rows_stay before update or delete on ticket_event
      for each row execute function refuse_event_change()`,
    `create trigger event_table_stays before truncate on ticket_event
      for each statement execute function refuse_event_change()`,
  ],
};
