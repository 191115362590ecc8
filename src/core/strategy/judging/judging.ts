import { intersect, type DocSet } from '../../engine'
import { finalNumber } from '../lines/keys'
import { numbersIn, print, walk, withoutPlaces, type Expr } from '../../query'

/** One line with what it found, as judging looks at it. */
export interface JudgedLine {
  id: string
  number: number
  conceptId?: string | undefined
  described?: string | undefined
  tree: Expr | undefined
  docs: DocSet | undefined
}

export interface BoardItem {
  /** The known item's id. */
  id: string
  /** Its record in this source. */
  doc: number
  /** By line, in order: found or not; undefined where the line could not be run. */
  found: (boolean | undefined)[]
  /** By the line that says what the strategy found. */
  atLast: boolean | undefined
  /** Lines that the last one needs and that miss it, as deep as can be named: where it is lost first. */
  lostAt: number[]
}

/**
 * Known items against lines: which line misses which. Where the last line misses an item, the way down is followed:
 * through an AND to the parts that miss it, through an OR only where all parts do; a limit or a NOT is named itself.
 */
export function knownItemBoard(
  lines: readonly JudgedLine[],
  items: readonly { id: string; doc: number }[],
): BoardItem[] {
  const sets = lines.map((l) => l.docs && new Set(l.docs))
  const last = finalNumber(lines)
  return items.map(({ id, doc }) => {
    const found = sets.map((s) => s?.has(doc))
    const atLast = found[last - 1]
    return { id, doc, found, atLast, lostAt: atLast === false ? lostAt(lines, found, last) : [] }
  })
}

function lostAt(
  lines: readonly JudgedLine[],
  found: readonly (boolean | undefined)[],
  number: number,
): number[] {
  const tree = lines[number - 1]?.tree
  const refs = tree ? partsOf(tree) : []
  const missing = refs.filter((n) => n < number && found[n - 1] === false)
  if (!missing.length) return [number]
  return [...new Set(missing.flatMap((n) => lostAt(lines, found, n)))].sort((a, b) => a - b)
}

/** The lines that must all find a record, or any of which may; nothing that stands behind NOT. */
function partsOf(e: Expr): number[] {
  if (e.kind === 'line') return [e.number]
  if (e.kind === 'lines') return numbersIn(e.ranges)
  if (e.kind === 'and' || e.kind === 'or') return e.parts.flatMap(partsOf)
  if (e.kind === 'not') return partsOf(e.parts[0]!)
  return []
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
  /** Of those, records that the lines of all other concepts find. */
  wantedByOthers: number
  /** Of those, known items and records ruled in. */
  wanted: number
}

/** For every NOT of a strategy: what it throws away, and how much of that other lines wanted. */
export function notLosses(
  lines: readonly JudgedLine[],
  find: (e: Expr) => DocSet,
  wanted: ReadonlySet<number>,
): NotLoss[] {
  return lines.flatMap((line) =>
    line.tree
      ? [...walk(line.tree)].flatMap((e): NotLoss[] => {
          if (e.kind !== 'not') return []
          const [first, ...rest] = e.parts
          const kept = new Set(find(e))
          const lost = find(first!).filter((d) => !kept.has(d))
          const others = blocksOf(lines).filter((b) => b.conceptId !== line.conceptId)
          const both = others.reduce<DocSet>((docs, b) => intersect(docs, b.docs!), lost)
          return [
            {
              lineId: line.id,
              number: line.number,
              without: rest.map((r) => print(withoutPlaces(r))).join(' NOT '),
              lost: lost.length,
              wantedByOthers: others.length ? both.length : 0,
              wanted: lost.filter((d) => wanted.has(d)).length,
            },
          ]
        })
      : [],
  )
}

/** The last line of each concept: what is joined with AND across. */
function blocksOf(lines: readonly JudgedLine[]): JudgedLine[] {
  const last = new Map<string, JudgedLine>()
  for (const l of lines) if (l.conceptId && l.docs) last.set(l.conceptId, l)
  return [...last.values()]
}
