import { intersect, subtract, type DocSet } from '../../engine'
import { print, withoutPlaces } from '../../query'
import type { ConceptEvidence, SearchTree } from '../tree'
import { causesOf, type MissCause } from './causes'

export interface BoardItem {
  /** The known item's id. */
  id: string
  /** Its record in this source. */
  doc: number
  /** By line, in order: found or not; undefined where the line could not be run. */
  found: (boolean | undefined)[]
  /** By the line that counts. */
  atLast: boolean | undefined
  /** Every cause for which the line that counts misses it. */
  causes: MissCause[]
  /** The lines of these causes. */
  lostAt: number[]
}

/**
 * Known items against lines: which line finds which, and for one that the line which counts misses every cause of it, with the
 * lines where it is lost.
 */
export function knownItemBoard(
  lines: readonly { docs: DocSet | undefined }[],
  items: readonly { id: string; doc: number }[],
  { search, about }: { search: SearchTree; about: ConceptEvidence },
): BoardItem[] {
  const sets = lines.map((l) => l.docs && new Set(l.docs))
  return items.map(({ id, doc }) => {
    const found = sets.map((s) => s?.has(doc))
    const atLast = found[search.counting - 1]
    const causes = atLast === false ? causesOf(search, about, doc) : []
    const lostAt = [...new Set(causes.flatMap((c) => c.lines))].sort((x, y) => x - y)
    return { id, doc, found, atLast, causes, lostAt }
  })
}

export interface TermYield {
  id: string
  conceptId: string
  hits: number
  /** Found by no other term of the same concept. */
  only: number
  /** Of those, found by the other concepts too: what the strategy would lose without it. */
  onlyNear: number
  /** Among its records that were ruled: the part ruled out; undefined where none was ruled. */
  noise: number | undefined
  ruled: number
}

/**
 * What each term brings: its hits, those that it alone brings within its concept, and how much noise there is among
 * those ruled. `near` holds, by concept, what all other concepts find. Counted in one pass over the postings.
 */
export function termYields(
  terms: readonly { id: string; conceptId: string; docs: DocSet }[],
  size: number,
  near: ReadonlyMap<string, DocSet>,
  ruled: { in: ReadonlySet<number>; out: ReadonlySet<number> },
): TermYield[] {
  const counts = new Map<string, Uint16Array>()
  for (const { conceptId, docs } of terms) {
    let count = counts.get(conceptId)
    if (!count) counts.set(conceptId, (count = new Uint16Array(size)))
    for (let i = 0; i < docs.length; i++) count[docs[i]!]!++
  }
  return terms.map(({ id, conceptId, docs }) => {
    const count = counts.get(conceptId)!
    const only = docs.filter((d) => count[d] === 1)
    let kept = 0
    let out = 0
    for (let i = 0; i < docs.length; i++) {
      if (ruled.in.has(docs[i]!)) kept++
      if (ruled.out.has(docs[i]!)) out++
    }
    const others = near.get(conceptId)
    return {
      id,
      conceptId,
      hits: docs.length,
      only: only.length,
      onlyNear: others ? intersect(only, others).length : only.length,
      noise: kept + out ? out / (kept + out) : undefined,
      ruled: kept + out,
    }
  })
}

export interface NotLoss {
  lineId: string
  number: number
  /** What stands behind NOT, in plain notation. */
  without: string
  /** Records thrown away. */
  lost: number
  /** Of those, records that the line which counts would find without this NOT. */
  wantedByOthers: number
  /** Of all that it throws away, known items and records ruled in. */
  wanted: number
}

/** For every NOT of a strategy: what it throws away, and how much of that all the rest asks for. */
export function notLosses(
  search: SearchTree,
  wanted: ReadonlySet<number>,
  idOf: (line: number) => string,
): NotLoss[] {
  return [...search.all()].flatMap((part): NotLoss[] => {
    const [first] = part.parts
    if (part.kind !== 'not' || part.at.kind !== 'not' || !first?.docs || !part.docs) return []
    const lost = subtract(first.docs, part.docs)
    const open = search.reached.has(part.line) ? search.atRoot(new Map([[part, first.docs]])) : undefined
    return [
      {
        lineId: idOf(part.line),
        number: part.line,
        without: part.at.parts
          .slice(1)
          .map((e) => print(withoutPlaces(e)))
          .join(' NOT '),
        lost: lost.length,
        wantedByOthers: open && search.root?.docs ? open.length - search.root.docs.length : 0,
        wanted: lost.filter((d) => wanted.has(d)).length,
      },
    ]
  })
}
