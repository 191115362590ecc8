const SMALL = 'none one two three four five six seven eight nine ten eleven twelve'.split(' ')

/** A number as it is printed: "two", "484", "1,204", "none"; undefined: it is none. */
export function numberIn(words: string | undefined): number | undefined {
  const said = words?.trim().toLowerCase() ?? ''
  const small = SMALL.indexOf(said)
  if (small >= 0) return small
  return /^\d{1,3}(?:,\d{3})*$/.test(said) ? Number(said.replace(/,/g, '')) : undefined
}

/** The parts of a list: "a, b and c". */
export const partsOf = (list: string): string[] => list.split(/, and |, | and /).map((part) => part.trim())
