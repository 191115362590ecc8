import { adviceOn, draftAccount, factsIn, GENERATOR, readFrozen, type FactContext } from '../core/account'
import { plainJson, plural } from '../core/base'
import { figuresAt, FIGURES_VERSION, figuresOfVersion } from '../core/figures'
import { rulesOf } from '../core/records'
import { beginsFromState, fold, partitionOf } from '../core/review'
import { openMatters } from '../core/selection'
import { sourceFactsOf } from '../standins/source-facts'
import { leftOutWords, type OpenedReview } from '../core/handed'
import { checked, unchecked, type Check } from './report'

/** Is the partition in force what its rules make of the records? What people decided stands apart, and is not part of it. */
export function checkPartition({ review, beside }: OpenedReview): Check {
  const about = 'Works'
  const { partition } = review
  if (!partition)
    return unchecked(about, 'the review is read under the first rules, which store no partition')
  const rules = rulesOf(partition.rules)
  if (!rules)
    return unchecked(about, `it was made by rules of version ${partition.rules}, which are not known here`)
  const stored = beside.classesAt(partition.digest)
  const imports = partition.imports.flatMap((id) => review.imports.find((i) => i.id === id) ?? [])
  if (!stored || imports.some((i) => !beside.recordsOf(i)))
    return unchecked(about, 'records or partition were left out of the package')
  const steps = partitionOf(imports, (i) => beside.recordsOf(i), undefined, rules)
  for (;;) {
    const step = steps.next()
    if (!step.done) continue
    const { classes } = step.value.stored
    // The same classes may bear other numbers: two records are together in both, or in neither.
    const pairs = new Map<string, number>()
    let n = 0
    for (const [i, c] of classes.entries()) pairs.set(`${c} ${stored[i]}`, i)
    n = new Set(classes).size
    const same = stored.length === classes.length && pairs.size === n && new Set(stored).size === n
    return checked(
      about,
      `the partition of ${plural(classes.length, 'record')} made again by rules of version ${partition.rules}`,
      same ? [] : ['The stored partition is not what its rules make of these records.'],
    )
  }
}

/** Does every stream of the flow add up, and is every work at one place? */
export function checkFlow({ told, entries }: OpenedReview): Check {
  if (beginsFromState(entries))
    return unchecked('Flow', 'rulings were left out of the package: how works went on is not in it')
  const { faults, undecided } = openMatters(told.figures.flow)
  return checked(
    'Flow',
    undecided ? `adds up; ${plural(undecided, 'work')} still between two boxes` : 'adds up',
    [
      ...faults,
      ...(told.figures.lostRulings
        ? [`${plural(told.figures.lostRulings, 'ruling')} belong to no record.`]
        : []),
    ],
  )
}

/** Every frozen text: its numbers reckoned again from the journal as it stood, and the digest that it prints. */
export async function checkFrozen({ review, entries, beside, blob }: OpenedReview): Promise<Check> {
  const about = 'Frozen texts'
  const frozen = review.frozenTexts ?? []
  if (!frozen.length) return checked(about, 'there are none', [])
  if (leftOutWords(entries, false).some((words) => words.startsWith('what was ruled')))
    return unchecked(about, 'rulings were left out of the package, and their numbers need them')
  const faults: string[] = []
  const open: string[] = []
  const remarks: string[] = []
  for (const { name, digest, journal } of frozen) {
    const bytes = await blob(digest)
    if (!bytes) {
      open.push(`“${name}” was left out of the package.`)
      continue
    }
    const read = readFrozen(bytes)
    if (!read.ok) {
      faults.push(`“${name}”: ${read.problems[0]!.message}`)
      continue
    }
    const text = read.value
    const entry = entries.find((e) => e.seq === text.journal.seq)
    if (entry?.digest !== text.journal.digest || journal !== text.journal.digest)
      faults.push(`“${name}” prints another digest than entry ${text.journal.seq} has.`)
    if (!entry) continue
    const { figuresVersion: counted = 1 } = text
    const figures = figuresOfVersion(counted, entries, text.journal.seq, beside)
    if (!figures) {
      open.push(`“${name}” was counted by version ${counted} of the figures, which is not known here.`)
      continue
    }
    if (counted !== FIGURES_VERSION)
      remarks.push(
        `“${name}” was counted by version ${counted} of the figures, and is held against that one: some are counted otherwise since.`,
      )
    for (const [key, value] of Object.entries(figures)) {
      const kept = (text.figures as unknown as Record<string, unknown>)[key]
      if (plainJson(value) !== plainJson(kept))
        faults.push(
          `“${name}”: ${key} is ${short(kept)} in it, and ${short(value)} in the journal as it stood.`,
        )
    }
    if (text.generator !== GENERATOR) {
      open.push(`“${name}” was written by another version: its words were not compared.`)
      continue
    }
    const then = fold(
      entries.filter((e) => e.seq <= text.journal.seq),
      beside,
    ).review
    const context: FactContext = {
      review: then,
      figures: figuresAt(entries, text.journal.seq, beside),
      entries,
      source: sourceFactsOf(then),
    }
    const now = factsIn(context, draftAccount(context))
    for (const [ref, words] of Object.entries(text.facts))
      // Terms by their yield need the words of all records, and are told when the section is made anew.
      if (now[ref] !== undefined && now[ref] !== words && !/terms\.(?:most|few)/.test(ref))
        faults.push(`“${name}”: ${ref} reads “${words}” in it, and “${now[ref]}” in the journal as it stood.`)
  }
  return checked(
    about,
    `${plural(frozen.length, 'text')} reckoned again from the journal as it stood`,
    faults,
    remarks,
    { open },
  )
}

const short = (value: unknown): string => plainJson(value).slice(0, 60) || 'not there'

/** Numbers that a person typed and that the record does not hold: no fault, but a reader should know of them. */
export function checkTyped({ review, told, entries }: OpenedReview): Check {
  const context: FactContext = { review, figures: told.figures, entries, source: sourceFactsOf(review) }
  const found = adviceOn(context, draftAccount(context)).filter((a) => a.rule === 'typed-number')
  return checked(
    'Typed numbers',
    found.length ? `${plural(found.length, 'number')} without evidence` : 'none without evidence',
    [],
    found.map((a) => `${a.message} ${a.words ?? ''}`),
  )
}
