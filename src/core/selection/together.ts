import type { FirstRuling, PassName, WorkRuling } from '../review'
import {
  agreementOf,
  fleissOf,
  SAID,
  tableOf,
  type Agreement,
  type AgreementOfAll,
  type SaidOf,
} from './agreement'
import type { OwnRulings } from './standing'
import type { SaidOfWork } from './place'

/**
 * What readers said of the same works, as counts that can be added up: by pass, two readers and what each said first; by pass
 * and two readers, works left out because the later of them could see what the other had ruled; by pass, how many of three
 * readers and more said each thing.
 */
export type ReadTogether = Readonly<Record<string, number>>

const SEEN = 'seen'
const ALL = 'all'
const key = (...parts: string[]): string => parts.join('\n')

/** What a reader said of a work first; nothing where nobody read it, or its records were ruled differently by one reader. */
const firstOf = (r: WorkRuling): FirstRuling | undefined =>
  r.first ?? (r.unread || r.toSettle ? undefined : r)

/** The keys under which one work counts; none where fewer than two read it. What was said after it was settled is left out. */
export function togetherOf(own: OwnRulings | undefined, said: SaidOfWork | undefined): string[] {
  const keys: string[] = []
  for (const pass of ['broad', 'close'] as const) {
    const settled = said?.settled?.[pass]?.at
    const first: { reader: string; said: FirstRuling }[] = []
    for (const name in own) {
      const ruling = own[name]!
      const one = ruling.pass === pass ? firstOf(ruling) : undefined
      if (one && !(settled !== undefined && one.at !== undefined && one.at > settled))
        first.push({ reader: ruling.reader, said: one })
    }
    if (first.length < 2) continue
    first.sort((a, b) => (a.reader < b.reader ? -1 : 1))
    first.forEach((a, n) => {
      for (const b of first.slice(n + 1))
        keys.push(
          inSight(a.said, b.said)
            ? key(pass, a.reader, b.reader, SEEN)
            : key(pass, a.reader, b.reader, a.said.verdict, b.said.verdict),
        )
    })
    const unseen = first.every((a) => first.every((b) => a === b || !inSight(a.said, b.said)))
    if (first.length > 2 && unseen)
      keys.push(key(pass, ALL, ...SAID.map((s) => String(first.filter((f) => f.said.verdict === s).length))))
  }
  return keys
}

/** Was the later of two rulings made where the earlier could be seen? Where that was not noted, it was not. */
function inSight(a: FirstRuling, b: FirstRuling): boolean {
  if (a.at === undefined || b.at === undefined) return a.blinded === false || b.blinded === false
  return (a.at < b.at ? b : a).blinded === false
}

export interface ReaderPair extends Agreement {
  first: string
  second: string
  /** Works that both ruled, left out because the later could see what the other had said. */
  seen: number
}

/** How far the readers of a pass agree, by what each said first. */
export interface PassAgreement {
  /** Of each two who ruled some of the same works. */
  pairs: ReaderPair[]
  /** Of works that three and more ruled, by how many did: most works first. */
  all: AgreementOfAll[]
}

/** Agreement in a pass, from what was counted. */
export function agreementsIn(together: ReadTogether, pass: PassName): PassAgreement {
  const pairs = new Map<string, { first: string; second: string; table: number[][]; seen: number }>()
  const all = new Map<number, [counts: number[], works: number][]>()
  for (const [name, count] of Object.entries(together)) {
    const [of, a = '', b = '', ...said] = name.split('\n')
    if (of !== pass) continue
    if (a === ALL) {
      const counts = [b, ...said].map(Number)
      const readers = counts.reduce((n, c) => n + c, 0)
      all.set(readers, [...(all.get(readers) ?? []), [counts, count]])
      continue
    }
    const pair = pairs.get(key(a, b)) ?? { first: a, second: b, table: tableOf([]), seen: 0 }
    pairs.set(key(a, b), pair)
    if (said[0] === SEEN) pair.seen += count
    else pair.table[SAID.indexOf(said[0] as SaidOf)]![SAID.indexOf(said[1] as SaidOf)]! += count
  }
  return {
    pairs: [...pairs]
      .sort(([x], [y]) => (x < y ? -1 : 1))
      .map(([, { table, ...pair }]) => ({ ...pair, ...agreementOf(table) })),
    all: [...all.values()].flatMap((works) => fleissOf(works) ?? []).sort((a, b) => b.works - a.works),
  }
}

/** The same of some works only: of a sample that was read together, of what the readers were asked for. */
export function agreementAmong(
  works: Iterable<readonly [own: OwnRulings | undefined, said: SaidOfWork | undefined]>,
  pass: PassName,
): PassAgreement {
  const together: Record<string, number> = {}
  for (const [own, said] of works)
    for (const name of togetherOf(own, said)) together[name] = (together[name] ?? 0) + 1
  return agreementsIn(together, pass)
}
