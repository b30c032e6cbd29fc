import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/**
 * Proves that whoever made a command had the key of the person it is in the name of. Made when
 * the command is entered, so that it can be sent while somebody else stands at the screen.
 * @param key what the server gave this person at this screen
 * @param command as it is sent, without what says who made it; the order of its fields counts, and
 *   JSON keeps it
 * @returns HMAC-SHA-256 (RFC 2104) over ticket and command, in hex
 */
export function proofOf(key: string, ticket: string, command: object): string {
  const text = `${ticket}\n${JSON.stringify(command)}`;
  return bytesToHex(hmac(sha256, utf8ToBytes(key), utf8ToBytes(text)));
}
