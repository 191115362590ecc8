import { keptFor } from '../../base'
import type { Review, Ruling } from '../values'
import type { Work, Works } from './works'

/** What one reader said of a work in a pass. */
export interface WorkRuling extends Ruling {
  /** Said of records that turned out to be one work, and not the same: this reader has to say again. */
  toSettle?: readonly Ruling[]
}

/** By work, then by pass and person ("broad/" and an id). Works of which nobody has said anything are left out. */
export type RulingsByWork = Readonly<Record<string, Readonly<Record<string, WorkRuling>>>>

export interface Ruled {
  works: Works
  rulings: Review['rulings']
  byWork: RulingsByWork
  /** Names under which something was said and that mean no record which stands. */
  lost: readonly string[]
}

const workOfRecord = keptFor(
  (works: readonly Work[]) =>
    new Map(works.flatMap((w) => [...w.records, ...w.former].map((id) => [id, w] as const))),
)

/** The work behind a record. */
export const workOf = (works: readonly Work[], recordId: string): Work | undefined =>
  workOfRecord(works).get(recordId)

/**
 * What was said of each work: the rulings of its records united. One that another of the same reader replaces does not
 * count while both are of this work; where a reader's verdicts still differ, it goes to settle. With what was found
 * before, for the same works, only what changed since is found anew.
 */
export function rulingsByWork(works: Works, rulings: Review['rulings'], before?: Ruled): Ruled {
  if (before?.works === works) return rulingsAfter(before, rulings).ruled
  return found(works, rulings, Object.keys(rulings), {}, []).ruled
}

/** The same found on for the same works, with the works of which something else is said now. */
export function rulingsAfter(
  before: Ruled,
  rulings: Review['rulings'],
): { ruled: Ruled; changed: readonly string[] } {
  if (before.rulings === rulings) return { ruled: before, changed: [] }
  const byWork: Record<string, Record<string, WorkRuling>> = {}
  // Copied key by key: of a record with many thousand keys that takes half as long as spreading it.
  for (const id in before.byWork) byWork[id] = before.byWork[id]!
  return found(before.works, rulings, changedNames(before.rulings, rulings), byWork, before.lost)
}

/** Finds anew what is said of the works behind these names, over what was found of the others. */
function found(
  works: Works,
  rulings: Review['rulings'],
  names: readonly string[],
  byWork: Record<string, Record<string, WorkRuling>>,
  lostBefore: readonly string[],
): { ruled: Ruled; changed: readonly string[] } {
  const oldNames = oldNamesByRecord(works.oldNames)
  const affected = new Set<Work>()
  const lost = new Set(lostBefore)
  for (const name of names) {
    const work = workOf(works.works, works.oldNames.get(name) ?? name)
    if (work) affected.add(work)
    else if (Object.keys(rulings[name] ?? {}).length) lost.add(name)
    else lost.delete(name)
  }
  for (const work of affected) {
    const own = ofWork(work, rulings, oldNames)
    if (Object.keys(own).length) byWork[work.id] = own
    else delete byWork[work.id]
  }
  const inOrder = lost.size ? Object.keys(rulings).filter((name) => lost.has(name)) : []
  return { ruled: { works, rulings, byWork, lost: inOrder }, changed: [...affected].map((w) => w.id) }
}

/** Names under which one of these has something else than the other. */
function changedNames(before: Review['rulings'], after: Review['rulings']): string[] {
  const changed: string[] = []
  for (const name in after) if (after[name] !== before[name]) changed.push(name)
  for (const name in before) if (after[name] === undefined) changed.push(name)
  return changed
}

const oldNamesByRecord = keptFor((oldNames: ReadonlyMap<string, string>) => {
  const by = new Map<string, string[]>()
  for (const [name, id] of oldNames) by.set(id, [...(by.get(id) ?? []), name])
  return by
})

function ofWork(
  work: Work,
  rulings: Review['rulings'],
  oldNames: ReadonlyMap<string, readonly string[]>,
): Record<string, WorkRuling> {
  const names = namesOf(work, oldNames)
  const own = new Set(names)
  const said = new Map<string, Ruling[]>()
  for (const name of names)
    for (const [key, ruling] of Object.entries(rulings[name] ?? {}))
      said.set(key, [...(said.get(key) ?? []), ruling])
  const found: Record<string, WorkRuling> = {}
  for (const [key, all] of said) {
    const replaced = new Set(all.flatMap((r) => r.replaces ?? []).filter((id) => own.has(id)))
    const left = all.filter((r) => !replaced.has(r.recordId))
    const [first] = left
    if (!first) continue
    found[key] = left.every((r) => r.verdict === first.verdict)
      ? first
      : {
          recordId: first.recordId,
          pass: first.pass,
          reader: first.reader,
          verdict: 'unsure',
          toSettle: left,
        }
  }
  return found
}

/** The records and old names of a work on which a reader has ruled in a pass: what a new ruling of theirs replaces. */
export const ruledBefore = (
  { works, rulings }: Pick<Ruled, 'works' | 'rulings'>,
  work: Work,
  pass: Ruling['pass'],
  reader: string,
): string[] => {
  return namesOf(work, oldNamesByRecord(works.oldNames)).filter(
    (name) => rulings[name]?.[`${pass}/${reader}`] !== undefined,
  )
}

/** Everything under which something may have been said of a work. */
const namesOf = (work: Work, oldNames: ReadonlyMap<string, readonly string[]>): string[] => [
  ...work.records.flatMap((id) => [id, ...(oldNames.get(id) ?? [])]),
  ...work.former,
]
