import { chmodSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * A folder for something that is thrown away. The database's own account may pass through it, or
 * its cluster would lie outside and outlive it.
 * @param {string} name
 */
export function testFolder(name) {
  const folder = mkdtempSync(join(tmpdir(), `nodo-${name}-`));
  chmodSync(folder, 0o711);
  return folder;
}
