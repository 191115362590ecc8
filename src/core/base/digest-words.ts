const CONSONANTS = 'bdfghjklmnprstvz'
const VOWELS = 'aiou'

/** Sixteen bits as five letters that can be said. */
const word = (bits: number): string =>
  CONSONANTS[(bits >> 12) & 15]! +
  VOWELS[(bits >> 10) & 3]! +
  CONSONANTS[(bits >> 6) & 15]! +
  VOWELS[(bits >> 4) & 3]! +
  CONSONANTS[bits & 15]!

/**
 * The first 128 bits of a hex digest as eight words that can be read out over a telephone: proquints (D. S. Wilkerson,
 * "A Proposal for Proquints", 2009; alphabet from memory).
 */
export const digestWords = (digest: string): string =>
  Array.from({ length: 8 }, (_, i) => word(parseInt(digest.slice(i * 4, i * 4 + 4), 16))).join(' ')
