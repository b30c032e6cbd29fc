import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { refuse } from '@nodo/kernel';
import express, { type Express, type RequestHandler } from 'express';
import { nonceOf } from './headers.ts';
import { sendRefusal } from './send.ts';

/** Stand in the page for what is put in at each answer. */
const NONCE_PLACE = '%NONCE%';
const BUILD_PLACE = '%BUILD%';

/**
 * Which build of the pages is served: it changes with everything that they consist of, for the
 * page names its parts by their content. Empty where there are none.
 */
export async function buildOf(webRoot: string): Promise<string> {
  const html = await readFile(join(webRoot, 'index.html')).catch(() => undefined);
  return html ? createHash('sha256').update(html).digest('hex').slice(0, 16) : '';
}

/** Hashed assets stay for ever, the page itself is asked for each time. */
export function pages(app: Express, webRoot: string, build: string): void {
  const page: RequestHandler = async (_request, response) => {
    const html = await readFile(join(webRoot, 'index.html'), 'utf8');
    response
      .set('cache-control', 'no-cache')
      .type('html')
      .send(html.replace(NONCE_PLACE, nonceOf(response)).replace(BUILD_PLACE, build));
  };
  app.use('/assets', express.static(`${webRoot}/assets`, { immutable: true, maxAge: '1y' }));
  const nothing: RequestHandler = (_request, response) =>
    sendRefusal(response, refuse('no-such-route'));
  app.use('/assets', nothing);
  // A newer one must be found at once.
  app.get('/sw.js', (_request, response) => {
    response.set('cache-control', 'no-cache').sendFile('sw.js', { root: webRoot });
  });
  app.get('/index.html', page);
  app.use(express.static(webRoot, { index: false }));
  // A file that there is not is no page.
  app.get(/\.[a-z0-9]+$/i, nothing);
  app.get('/{*path}', page);
}
