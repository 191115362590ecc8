/**
 * Is a word spelled like an operator of plain notation? Bare, it would be read as one, so it is kept and printed as a
 * phrase of one word. AND, OR and NOT are operators in any case and width, NEAR and THEN in capitals only.
 */
export const looksLikeOperator = (word: string): boolean =>
  /^(?:and|or|not)$/i.test(word.normalize('NFKC')) || /^(?:NEAR|THEN)$/.test(word.normalize('NFKC'))

const SIGNS = /[\\"“”„«»]/g

/** A text in quotes; quotation marks and backslashes inside it are written with a backslash before them. */
export const inQuotes = (text: string): string => `"${text.replace(SIGNS, (sign) => `\\${sign}`)}"`

/** What stands between quotes, its backslashes taken away where they guard a quotation mark or a backslash. */
export const unquoted = (inside: string): string => inside.replace(/\\([\\"“”„«»])/g, '$1')
