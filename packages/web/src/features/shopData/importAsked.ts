import type { ImportKind, Matching, Separator } from '@nodo/exchange';
import { later } from '../../messages/later.ts';
import type { Encoding } from './decode.ts';

/** A file, and how it is to be read; what is left out is guessed. */
export interface Asked {
  readonly kind: ImportKind;
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly encoding: Encoding;
  readonly separator?: Separator;
  readonly matching?: Matching;
  readonly usual?: string;
}

type Named = keyof typeof later.data.imports.columns;

/** What one of our columns is called. */
export function columnWords(kind: ImportKind, column: string): string {
  const words = later.data.imports;
  if (kind === 'machines' && column === 'name') return words.machineName;
  return column in words.columns ? words.columns[column as Named] : column;
}
