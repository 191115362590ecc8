import { Matcher, RULES, type Matched, type Rec, type Rules } from '../../records'
import { isStanding, recordNames } from '../imports'
import type { Import, Review } from '../values'

/** A partition as it lies beside the journal: see `ClassesAt`. */
export interface StoredPartition {
  /** The imports it is of, in the order of its records. */
  imports: string[]
  classes: number[]
  toSettle: number[]
}

/** A matcher and the imports whose records it has, for going on with it when another import comes. */
export interface Kept {
  imports: readonly string[]
  matcher: Matcher
}

/**
 * What the rules make of the records of these imports, those of now where no others are named; gives now and then how far it is. Records of imports that
 * no longer stand join the work that certainly has them, and never change what the others are. With what was kept from the
 * last time, only records that came since are compared. Throws where records are not here.
 */
export function* partitionOf(
  imports: Review['imports'],
  recordsOf: (of: Import) => readonly Rec[] | undefined,
  kept?: Kept,
  rules: Rules = RULES,
): Generator<Matched, { stored: StoredPartition; kept: Kept }> {
  const standing = imports.filter((i) => isStanding({ imports }, i))
  const former = imports.filter((i) => !standing.includes(i))
  const goesOn = kept !== undefined && !former.length && kept.imports.every((id, n) => standing[n]?.id === id)
  const matcher = goesOn ? kept.matcher : new Matcher(rules)
  const recordsIn = (i: Import): readonly Rec[] => {
    const records = recordsOf(i)
    if (!records) throw new Error(`The records of the import ${i.id} are not in this browser.`)
    return records
  }
  for (const i of standing.slice(goesOn ? kept.imports.length : 0))
    yield* matcher.add(recordNames(i), recordsIn(i))
  const { classes, toSettle } = matcher.found()
  const classOf = new Map<string, number>()
  classes.forEach((names, n) => {
    for (const name of names) classOf.set(name, n)
  })
  if (former.length) {
    const others = new Matcher(rules)
    for (const i of standing) yield* others.add(recordNames(i), recordsIn(i))
    let next = classes.length
    for (const i of former) {
      const names = recordNames(i)
      yield* others.add(names, recordsIn(i))
      for (const name of names) {
        const joined = others
          .joinedWith(name)
          .filter((n) => classOf.has(n) && !former.some((f) => n.startsWith(`${f.id}/`)))
          .sort()[0]
        classOf.set(name, joined === undefined ? next++ : classOf.get(joined)!)
      }
    }
  }
  const all = [...standing, ...former]
  const names = all.flatMap(recordNames)
  const place = new Map(names.map((name, n) => [name, n]))
  return {
    stored: {
      imports: all.map((i) => i.id),
      classes: names.map((name) => classOf.get(name)!),
      toSettle: toSettle.flatMap(({ a, b }) => [place.get(a)!, place.get(b)!]),
    },
    kept: { imports: standing.map((i) => i.id), matcher },
  }
}
