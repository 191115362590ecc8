/** A stop behind an initial ("H. Marrow") ends no sentence; one behind the letter of an appendix does. */
const END = /(?<=[.?!])(?<!(?<!\b(?:Appendix|and|or) )\b\p{Lu}\.) (?=\p{Lu})/gu

/** Where in a text each sentence but the first begins. */
export const sentenceStarts = (text: string): number[] => [...text.matchAll(END)].map((m) => m.index + 1)

/** The sentences of a text, as far as they can be told apart by their stops. */
export const sentencesIn = (text: string): string[] => text.replace(/\s+/g, ' ').split(END)
