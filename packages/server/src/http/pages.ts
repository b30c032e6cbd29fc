import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import { nonceOf } from './headers.ts';

/** Stands in the page for what is drawn anew at each answer. */
const NONCE_PLACE = '%NONCE%';

/** Hashed assets stay for ever, the page itself is asked for each time. */
export function pages(app: Express, webRoot: string): void {
  const page: RequestHandler = async (_request, response) => {
    const html = await readFile(join(webRoot, 'index.html'), 'utf8');
    response
      .set('cache-control', 'no-cache')
      .type('html')
      .send(html.replace(NONCE_PLACE, nonceOf(response)));
  };
  app.use('/assets', express.static(`${webRoot}/assets`, { immutable: true, maxAge: '1y' }));
  // A newer one must be found at once.
  app.get('/sw.js', (_request, response) => {
    response.set('cache-control', 'no-cache').sendFile('sw.js', { root: webRoot });
  });
  app.get('/index.html', page);
  app.use(express.static(webRoot, { index: false }));
  app.get('/{*path}', page);
}
