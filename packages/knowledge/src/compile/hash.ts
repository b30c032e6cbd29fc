import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { canonicalJson } from './canonical.ts';

/** SHA-256 over the content, whatever its layout. */
export function contentHash(content: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(canonicalJson(content))));
}
