import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';

/** Has a browser keep an answer as a file. @param name one of our own, without quotes */
export function asFile(response: Response, name: string, type: string): void {
  response.set('content-type', type).set('content-disposition', `attachment; filename="${name}"`);
}

/**
 * Sends an answer piece by piece. @returns whether all of it went out: whoever asked may have gone
 * @throws what the pieces threw
 */
export async function sendStream(response: Response, pieces: Readable): Promise<boolean> {
  try {
    await pipeline(pieces, response);
    return true;
  } catch (fault) {
    if ((fault as { code?: string }).code === 'ERR_STREAM_PREMATURE_CLOSE') return false;
    throw fault;
  }
}
