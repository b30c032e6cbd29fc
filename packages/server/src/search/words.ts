/** Fewer letters than this are no word to look for; a number may be shorter. */
const SHORTEST = 3;
/** Longer ones are cut: nobody types more to find something. */
const LONGEST = 40;
/** So many words of one thing are enough to find it by. */
const MOST_WORDS = 80;

/**
 * A text as words to find it by: small letters without accents; ä, ö, ü and ae, oe, ue are one
 * (who types Mueller finds Müller, and the other way round); numbers as they are.
 */
function wordsOf(text: string): readonly string[] {
  return folded(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length >= SHORTEST || /^\p{N}+$/u.test(word))
    .map((word) => word.slice(0, LONGEST));
}

/** A number as it is dialled, or a serial without its dashes: what is left without separators. */
function joined(text: string): string {
  return folded(text)
    .replaceAll(/[^\p{L}\p{N}]+/gu, '')
    .slice(0, LONGEST);
}

/** What was typed, as words; the last may be the beginning of one. */
export function wanted(typed: string): readonly string[] {
  const parts = folded(typed)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => word.slice(0, LONGEST));
  // Digits with gaps between them are one number: a telephone's.
  const isNumber = parts.length > 1 && parts.every((part) => /^\p{N}+$/u.test(part));
  return isNumber ? [parts.join('').slice(0, LONGEST)] : [...new Set(parts)].slice(0, 6);
}

/** Words of several texts, each once. */
export function allWords(texts: readonly string[], whole: readonly string[]): readonly string[] {
  const words = new Set([...texts.flatMap(wordsOf), ...whole.map(joined)]);
  words.delete('');
  return [...words].slice(0, MOST_WORDS);
}

function folded(text: string): string {
  return text
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('æ', 'ae')
    .replaceAll('ø', 'oe')
    .replaceAll('œ', 'oe')
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/([aou])e/g, '$1');
}
