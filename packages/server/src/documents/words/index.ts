import type { PaperLanguage } from '@nodo/kernel';
import { de } from './de.ts';
import { en, type PaperWords } from './en.ts';
import { es } from './es.ts';
import { fr } from './fr.ts';

const WORDS: Readonly<Record<PaperLanguage, PaperWords>> = { en, de, es, fr };

/** The words of a shop's papers. */
export function wordsIn(language: PaperLanguage): PaperWords {
  return WORDS[language];
}
