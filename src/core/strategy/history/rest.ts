/** The words and numbers of a text, in order: what must end somewhere. */
const pieces = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}\p{M}]+/gu) ?? []

/**
 * What of the lines of a search has gone into none of its parts. Words and numbers are counted, signs between columns are
 * not. Empty where everything has its place.
 */
export function restOf(lines: readonly string[], parts: readonly string[]): string[] {
  const left = new Map<string, number>()
  for (const piece of parts.flatMap(pieces)) left.set(piece, (left.get(piece) ?? 0) + 1)
  return lines.flatMap(pieces).filter((piece) => {
    const n = left.get(piece) ?? 0
    if (n) left.set(piece, n - 1)
    return !n
  })
}
