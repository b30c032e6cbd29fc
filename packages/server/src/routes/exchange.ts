import { Readable } from 'node:stream';
import { ENDPOINTS, EXPORTS, type ExportName, LARGEST_IMPORT } from '@nodo/api';
import { refuse } from '@nodo/kernel';
import express, { type Express } from 'express';
import type { Auth } from '../auth/auth.ts';
import { exportOf } from '../exchange/exports.ts';
import type { Importing } from '../exchange/importing.ts';
import type { ExchangeRows } from '../exchange/rows.ts';
import { asFile, sendStream } from '../http/asFile.ts';
import { forTheSignedIn } from '../http/forTheSignedIn.ts';
import { route } from '../http/route.ts';

/** A character of a file can need so many bytes, escaped in JSON. */
const BYTES_OF_A_CHARACTER = 6;

/** Larger bodies than elsewhere. */
const large = express.json({ limit: LARGEST_IMPORT * BYTES_OF_A_CHARACTER });

/** What the shop wrote, as files, and rows that are taken over from files. */
export function exchangeRoutes(
  app: Express,
  { people, audit }: Auth,
  rows: ExchangeRows,
  importing: Importing,
): void {
  route(app, people, ENDPOINTS.readExport, async ({ params, session, response }) => {
    const { shop, person } = session;
    const name = params.export;
    if (!(EXPORTS[name] as readonly string[]).includes(person.role)) {
      return { ok: false, refusal: refuse('role-may-not', '', { role: person.role }) };
    }
    await audit.note({ shop: shop.id, person: person.id, what: 'data-exported' });
    const pieces = exportOf(name, rows, shop.id);
    // What fails before anything was sent is answered as any fault.
    const first = await pieces.next();
    asFile(response, name, typeOf(name));
    await sendStream(response, Readable.from(onFrom(first, pieces)));
    return 'answered';
  });

  route(
    app,
    people,
    ENDPOINTS.importRows,
    async ({ body, session: { shop, person } }) => {
      const answer = await importing.run(shop.id, person.id, body);
      if (body.apply && !answer.applied) {
        return { ok: false, refusal: refuse('import-faulty', '', { faults: answer.faults }) };
      }
      if (answer.applied) {
        await audit.note({ shop: shop.id, person: person.id, what: 'data-imported' });
      }
      return { ok: true, answer };
    },
    forTheSignedIn(people),
    large,
  );
}

async function* onFrom(
  first: IteratorResult<string, void>,
  rest: AsyncGenerator<string>,
): AsyncGenerator<string> {
  if (first.done) return;
  yield first.value;
  yield* rest;
}

function typeOf(name: ExportName): string {
  if (name.endsWith('.csv')) return 'text/csv; charset=utf-8';
  return name.endsWith('.jsonl') ? 'application/jsonl; charset=utf-8' : 'application/json';
}
