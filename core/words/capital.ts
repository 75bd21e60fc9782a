/** A phrase as a sentence begins: its first letter a capital. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
