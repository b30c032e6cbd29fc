import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** SHA-256 over the content with keys in order, so that layout does not change it. */
export function contentHash(content: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(JSON.stringify(content, sortedKeys))));
}

function sortedKeys(_key: string, value: unknown): unknown {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}
