const CONSONANTS = 'bdfgklmnprstvz';
const VOWELS = 'aeiou';
const WORDS = 5;
const PATTERN = [CONSONANTS, VOWELS, CONSONANTS, VOWELS, CONSONANTS] as const;

/**
 * Words that mean nothing, can be read out and written down, and that nobody guesses: 16 bits each, 80 together.
 * @param draw a whole number from 0 up to, but not including, its bound, each equally likely
 */
export function suggestPassphrase(draw: (bound: number) => number): string {
  const word = () => PATTERN.map((letters) => letters.charAt(draw(letters.length))).join('');
  return Array.from({ length: WORDS }, word).join(' ');
}

/** Draws that nobody foresees; what would make some likelier than others is thrown away. */
export function drawSecretly(bound: number): number {
  const limit = Math.floor(0x1_0000_0000 / bound) * bound;
  for (;;) {
    const [value = limit] = crypto.getRandomValues(new Uint32Array(1));
    if (value < limit) return value % bound;
  }
}
