/** Turns of phrase that several sentences share. */

/** `a`, `a and b`, `a, b and c`. */
export function and(words: readonly string[], joint = 'and'): string {
  if (words.length < 2) return words[0] ?? '';
  return `${words.slice(0, -1).join(', ')} ${joint} ${words.at(-1)}`;
}

export function capital(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

/** One of two words by the number. */
export function plural(count: number, word: string, several: string): string {
  return count === 1 ? word : several;
}

/** "1 wire", "3 wires". */
export function counted(count: number, word: string, several: string): string {
  return `${count} ${plural(count, word, several)}`;
}

/** A probability, 0 to 1, in per cent. */
export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

/** As it stands within a sentence; what is written in capitals stays as it is. */
export function within(text: string): string {
  return /^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
}
