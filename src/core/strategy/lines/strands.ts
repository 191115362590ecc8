import { parse, referredLines } from '../../query'

/**
 * The concepts behind each line: its own, or all those of the lines it needs, in the order of `concepts`. A line that
 * belongs to no concept and needs none has none.
 */
export function conceptsBehind(
  lines: readonly { text: string; conceptId?: string | undefined }[],
  concepts: readonly string[],
): string[][] {
  const all: string[][] = []
  lines.forEach((line, i) => {
    const { tree } = parse(line.text)
    const below = tree ? referredLines(tree).flatMap((n) => (n >= 1 && n <= i ? all[n - 1]! : [])) : []
    const own = new Set(line.conceptId && concepts.includes(line.conceptId) ? [line.conceptId] : below)
    all.push(concepts.filter((c) => own.has(c)))
  })
  return all
}
