/** Works by the year in which they were published, in the order of the years; those without a year are counted apart. */
export interface ByYear {
  years: number[]
  /** How many works each year has. */
  works: number[]
  /** By source: how many works of each year it found. A work that several found is counted for each of them. */
  bySource: Record<string, number[]>
  without: number
}

/** Years between the first and the last that no work has are there with 0. */
export function byYear(works: readonly { year: number | undefined; sources: readonly string[] }[]): ByYear {
  const dated = works.flatMap((w) => (w.year === undefined ? [] : [{ ...w, year: w.year }]))
  const found: ByYear = { years: [], works: [], bySource: {}, without: works.length - dated.length }
  if (!dated.length) return found
  const [first, last] = dated.reduce(
    ([low, high], { year }) => [Math.min(low, year), Math.max(high, year)] as const,
    [Infinity, -Infinity] as readonly [number, number],
  )
  const none = (): number[] => Array.from({ length: last - first + 1 }, () => 0)
  found.years = none().map((_, i) => first + i)
  found.works = none()
  for (const { year, sources } of dated) {
    found.works[year - first]!++
    for (const id of new Set(sources)) (found.bySource[id] ??= none())[year - first]!++
  }
  return found
}
