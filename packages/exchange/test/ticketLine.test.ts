import { readdirSync, readFileSync } from 'node:fs';
import { type RecordedEvent, upgraded } from '@nodo/ticket';
import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { describe, expect, it } from 'vitest';
import { ticketSchema } from '../src/index.ts';

const GOLDEN = new URL('../../ticket/test/golden/', import.meta.url);
const stored = readdirSync(GOLDEN)
  .filter((file) => file.startsWith('events-'))
  .flatMap((file) => {
    const { events } = JSON.parse(readFileSync(new URL(file, GOLDEN), 'utf8')) as {
      events: RecordedEvent[];
    };
    return events;
  });

describe('the published form of a ticket', () => {
  const ajv = new Ajv2020({ strict: false });
  addFormats(ajv);
  const fits = ajv.compile(ticketSchema());
  const line = (event: object) => ({
    format: 'nodo-ticket',
    version: 1,
    ticket: '00000000-0000-4000-8000-000000000001',
    customer: null,
    machine: null,
    events: [event],
  });

  it('has room for every kind of entry that was ever stored, in its present form', () => {
    expect(stored.length).toBeGreaterThan(50);
    for (const event of stored) {
      const told = `${event.type}: ${JSON.stringify(event.body).slice(0, 200)}`;
      expect(fits(line(upgraded(event))), `${told}\n${ajv.errorsText(fits.errors)}`).toBe(true);
    }
  });

  it('refuses what has another form', () => {
    const [event] = stored;
    for (const broken of [
      { ...event, type: 'unheard-of' },
      { ...event, seq: 'first' },
      { ...event, body: {} },
    ]) {
      expect(fits(line(broken))).toBe(false);
    }
    expect(fits({ ...line({}), events: [] })).toBe(false);
  });
});
