import { accessSync, constants } from 'node:fs';

/** Something that only a person can put right: what is wrong, and what to do. */
export class SetupFault extends Error {
  /**
   * @param {string} what
   * @param {string} remedy
   */
  constructor(what, remedy) {
    super(`${what} ${remedy}`);
    this.name = 'SetupFault';
  }
}

/**
 * Puts a system error into one line with its remedy, if it is one of those people meet.
 * @param {unknown} fault
 * @param {string} folder
 */
export function explained(fault, folder) {
  const { code, message = '' } = /** @type {{ code?: string, message?: string }} */ (fault);
  if (code === 'ENOSPC' || /No space left on device/i.test(message)) {
    return new SetupFault(
      `The disk with ${folder} is full.`,
      'Free at least 500 MB there and start again; nothing that was stored is lost.',
    );
  }
  if (code === 'EROFS' || /Read-only file system/i.test(message)) {
    return new SetupFault(
      `The disk with ${folder} can only be read.`,
      'Make it writable, or keep the data elsewhere: NODO_DATA=/some/folder npm start',
    );
  }
  const [, newer] = /newer-data ([^\n]*)/.exec(message) ?? [];
  if (newer) {
    return new SetupFault(
      `The data in ${folder} was last used by a newer Nodo (${newer}), which this one would damage.`,
      'Start that newer one; the data is untouched.',
    );
  }
  if (code === 'EACCES' || code === 'EPERM') {
    return new SetupFault(
      `This user may not write in ${folder}: it belongs to somebody else.`,
      `Start as its owner, or hand it over: sudo chown -R "$(id -un)" "${folder}"`,
    );
  }
  return fault;
}

/**
 * Says in one line that a folder belongs to somebody else, before another program does so
 * in many.
 * @param {string} folder
 */
export function assertWritable(folder) {
  try {
    accessSync(folder, constants.W_OK);
  } catch (fault) {
    throw explained(fault, folder);
  }
}
