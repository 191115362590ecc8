import { namesIn, recordNames } from '../imports'
import type { Import } from '../values'
import type { Work, Works } from './works'

/** Works as they pass from one thread to another: numbers, which are handed over at once, in the place of names. */
export interface PackedWorks {
  /** Of each work, where its records end in `members`. */
  ends: Uint32Array
  /** Records as places among those of all imports, whether they stand or not, in their order. */
  members: Uint32Array
  /** The same of records that no longer stand. */
  formerEnds: Uint32Array
  formers: Uint32Array
  toSettle: Works['toSettle']
  known: [string, string][]
  oldNames: [string, string][]
}

/** Packs works that were made from these imports. */
export function packWorks(found: Works, imports: readonly Import[]): PackedWorks {
  const placeOf = new Map(imports.flatMap(recordNames).map((name, n) => [name, n]))
  const pack = (of: (w: Work) => readonly string[]): { ends: Uint32Array; places: Uint32Array } => {
    const ends = new Uint32Array(found.works.length)
    const places: number[] = []
    found.works.forEach((work, n) => {
      for (const name of of(work)) places.push(placeOf.get(name)!)
      ends[n] = places.length
    })
    return { ends, places: Uint32Array.from(places) }
  }
  const [standing, former] = [pack((w) => w.records), pack((w) => w.former)]
  return {
    ends: standing.ends,
    members: standing.places,
    formerEnds: former.ends,
    formers: former.places,
    toSettle: found.toSettle,
    known: [...found.known],
    oldNames: [...found.oldNames],
  }
}

/** So many works are unpacked in one step. */
const AT_ONCE = 2000

/** The works that were packed; `imports` are those that they were made from. In steps, so that a page can draw between. */
export function* unpackWorks(packed: PackedWorks, imports: readonly Import[]): Generator<undefined, Works> {
  const names: string[] = []
  const sources: string[] = []
  for (const i of imports)
    for (const name of namesIn(i)) {
      names.push(name)
      sources.push(i.sourceId)
      if (names.length % AT_ONCE === 0) yield
    }
  // Most works were found in the same few sources: they share the lists of these.
  const lists = new Map<string, readonly string[]>()
  const shared = (found: string[]): readonly string[] => {
    const key = found.join('\n')
    const known = lists.get(key) ?? found
    lists.set(key, known)
    return known
  }
  const works: Work[] = []
  let [at, formerAt] = [0, 0]
  for (let n = 0; n < packed.ends.length; n++) {
    const records: string[] = []
    const found: string[] = []
    for (; at < packed.ends[n]!; at++) {
      const place = packed.members[at]!
      records.push(names[place]!)
      if (!found.includes(sources[place]!)) found.push(sources[place]!)
    }
    const former: string[] = []
    for (; formerAt < packed.formerEnds[n]!; formerAt++) former.push(names[packed.formers[formerAt]!]!)
    works.push({ id: records[0]!, records, former: former.length ? former : NONE, sources: shared(found) })
    if (n % AT_ONCE === 0) yield
  }
  return {
    works,
    toSettle: packed.toSettle,
    known: new Map(packed.known),
    oldNames: new Map(packed.oldNames),
  }
}
const NONE: readonly string[] = []
