import { drain, held, heldApart, heldNames, keptFor, withHeld, type Buckets } from '../../base'
import { firstOf } from '../put-ruling'
import { personId } from '../same-person'
import type { Group, Review, Ruling } from '../values'
import type { Work, Works } from './works'

/** What one reader said of a work in a pass. */
export interface WorkRuling extends Ruling {
  /** Said of records that turned out to be one work, and not the same: this reader has to say again. */
  toSettle?: readonly Ruling[]
}

/** By work, then by pass and person ("broad/" and an id). Works of which nobody has said anything are left out. */
export type RulingsByWork = Readonly<Buckets<Readonly<Record<string, WorkRuling>>>>

export interface Ruled {
  works: Works
  rulings: Review['rulings']
  /** Ids that stand for one person, as somebody said: what both said is said by one. */
  samePersons?: Review['samePersons'] | undefined
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

/** The works of a group, in their order; a record that belongs to no work any more is passed over. */
export function worksInGroup(group: Pick<Group, 'records'>, works: readonly Work[]): Work[] {
  const ids = new Set(group.records.flatMap((id) => workOf(works, id)?.id ?? []))
  return works.filter((w) => ids.has(w.id))
}

/**
 * What was said of each work: the rulings of its records united. One that another of the same reader replaces does not
 * count while both are of this work; where a reader's verdicts still differ, it goes to settle. With what was found
 * before, for the same works, only what changed since is found anew.
 */
export function rulingsByWork(works: Works, said: SaidByPeople, before?: Ruled): Ruled {
  if (before?.works === works && before.samePersons === said.samePersons)
    return rulingsAfter(before, said.rulings).ruled
  return drain(rulingsInSteps(works, said))
}

/** What was said, and who is one person. */
export type SaidByPeople = Pick<Review, 'rulings' | 'samePersons'>

/** The same from the beginning, in steps. */
export function* rulingsInSteps(
  works: Works,
  { rulings, samePersons }: SaidByPeople,
): Generator<undefined, Ruled> {
  const nothing = { works, rulings: {}, samePersons, byWork: {}, lost: [] }
  return (yield* findInSteps(nothing, rulings, heldNames(rulings))).ruled
}

/** The same found on for the same works, with the works of which something else is said now. */
export function rulingsAfter(
  before: Ruled,
  rulings: Review['rulings'],
): { ruled: Ruled; changed: readonly string[] } {
  if (before.rulings === rulings) return { ruled: before, changed: [] }
  return drain(findInSteps(before, rulings, heldApart(before.rulings, rulings)))
}

/** How many names or works are looked up before the page may draw. */
const AT_ONCE = 2000

/** Finds anew what is said of the works behind these names, over what was found of the others. */
function* findInSteps(
  { works, samePersons, byWork: before, lost: lostBefore }: Ruled,
  rulings: Review['rulings'],
  names: readonly string[],
): Generator<undefined, { ruled: Ruled; changed: readonly string[] }> {
  const oldNames = oldNamesByRecord(works.oldNames)
  const affected = new Set<Work>()
  const lost = new Set(lostBefore)
  yield
  for (const [n, name] of names.entries()) {
    const work = workOf(works.works, works.oldNames.get(name) ?? name)
    if (work) affected.add(work)
    else if (Object.keys(held(rulings, name) ?? {}).length) lost.add(name)
    else lost.delete(name)
    if (n % AT_ONCE === AT_ONCE - 1) yield
  }
  const changes: [id: string, own: RulingsByWork[string][string] | undefined][] = []
  for (const work of affected) {
    const own = united(ofWork(work, rulings, oldNames), samePersons)
    changes.push([work.id, Object.keys(own).length ? own : undefined])
    if (changes.length % AT_ONCE === 0) yield
  }
  yield
  const byWork = withHeld(before, changes)
  const inOrder = lost.size ? heldNames(rulings).filter((name) => lost.has(name)) : []
  const ruled = { works, rulings, ...(samePersons ? { samePersons } : {}), byWork, lost: inOrder }
  return { ruled, changed: [...affected].map((w) => w.id) }
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
  // Most works are one record under one name: what was said of it is what was said of the work.
  if (names.length === 1) {
    const alone = held(rulings, names[0]!) ?? {}
    if (Object.values(alone).every((r) => !r.replaces?.length)) return alone
  }
  const own = new Set(names)
  const said = new Map<string, Ruling[]>()
  for (const name of names)
    for (const [key, ruling] of Object.entries(held(rulings, name) ?? {}))
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

/** The same where several ids are one person: of what they said the later stands, with what was said first. */
function united(
  own: Record<string, WorkRuling>,
  samePersons: Review['samePersons'] | undefined,
): Record<string, WorkRuling> {
  if (!samePersons?.length) return own
  const found: Record<string, WorkRuling> = {}
  for (const ruling of Object.values(own)) {
    const reader = personId({ samePersons }, ruling.reader)
    const key = `${ruling.pass}/${reader}`
    const other = found[key]
    if (!other) {
      found[key] = reader === ruling.reader ? ruling : { ...ruling, reader }
      continue
    }
    const [earlier, later] = (other.at ?? '') <= (ruling.at ?? '') ? [other, ruling] : [ruling, other]
    const first = firstOf([earlier, later])
    found[key] = { ...later, reader, ...(first ? { first } : {}) }
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
    (name) => held(rulings, name)?.[`${pass}/${reader}`] !== undefined,
  )
}

/** Everything under which something may have been said of a work. */
const namesOf = (work: Work, oldNames: ReadonlyMap<string, readonly string[]>): string[] => [
  ...work.records.flatMap((id) => [id, ...(oldNames.get(id) ?? [])]),
  ...work.former,
]
