/** In which sources one work was found. */
export interface FoundIn {
  sources: readonly string[]
}

export interface SourceShare {
  id: string
  /** Works found there. */
  works: number
  /** Of them, those found nowhere else. */
  alone: number
  /** Of them, those found in another too: between 0 and 1, 0 where there are none. */
  shared: number
  /** Works that it brought which no source before it had brought, in the order of searching. */
  added: number
  /** All works known after it. */
  known: number
}

export interface OverlapSet {
  /** The sources, in their order. */
  sources: string[]
  works: number
}

/** What each source gave, and what they have in common. */
export interface Overlap {
  works: number
  sources: SourceShare[]
  /** Works by exactly the sources they were found in: the largest first, then in the order of the sources. */
  sets: OverlapSet[]
  /** How many works were found in one source, in two …; the first is at 0. */
  foundIn: number[]
}

/**
 * Counts what sources have in common. `order` are the sources in the order in which they were searched; one that found
 * nothing is told with zeros, and sources of works that are not in the order come after it.
 */
export function overlapOf(works: readonly FoundIn[], order: readonly string[]): Overlap {
  const all = [...new Set([...order, ...works.flatMap((w) => w.sources)])]
  const place = new Map(all.map((id, i) => [id, i]))
  const sets = new Map<string, OverlapSet>()
  const foundIn: number[] = []
  const shares = all.map((id): SourceShare => ({ id, works: 0, alone: 0, shared: 0, added: 0, known: 0 }))
  for (const work of works) {
    const own = [...new Set(work.sources)].map((id) => place.get(id)!).sort((a, b) => a - b)
    if (!own.length) continue
    const key = own.join(' ')
    const set = sets.get(key)
    if (set) set.works++
    else sets.set(key, { sources: own.map((n) => all[n]!), works: 1 })
    foundIn[own.length - 1] = (foundIn[own.length - 1] ?? 0) + 1
    for (const n of own) shares[n]!.works++
    if (own.length === 1) shares[own[0]!]!.alone++
    shares[own[0]!]!.added++
  }
  let known = 0
  for (const share of shares) {
    known += share.added
    share.known = known
    share.shared = share.works ? (share.works - share.alone) / share.works : 0
  }
  const rank = (s: OverlapSet): string => s.sources.map((id) => String(place.get(id)).padStart(4, '0')).join()
  return {
    works: known,
    sources: shares,
    sets: [...sets.values()].sort((a, b) => b.works - a.works || (rank(a) < rank(b) ? -1 : 1)),
    foundIn: Array.from(foundIn, (n) => n ?? 0),
  }
}
