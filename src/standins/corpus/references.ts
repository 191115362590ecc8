import type { Rec } from '../../core/records'
import type { Work } from './corpus'
import { Random } from './random'
import { FAMILY_ENDS, FAMILY_STARTS } from './world'

/** How many works a study cites: reviews more than others. */
const COUNT = { review: [18, 44], other: [5, 20] } as const
/** Of a hundred references, so many are to works that no stand-in holds, and so many are printed wrongly. */
const ELSEWHERE = 22
const WRONG = 6

/**
 * What a work cites, as a database prints it: older works only, most of them on the same topic; some that no stand-in
 * holds, some with a year or a name that is wrong. `idOf` gives the number of a work that the database holds as well.
 */
export function referencesOf(
  work: Work,
  byTopic: ReadonlyMap<string, readonly Work[]>,
  all: readonly Work[],
  seed: string,
  idOf: (work: Work) => string | undefined,
): NonNullable<Rec['references']> {
  const { study } = work
  const random = new Random(`${seed}/references/${study.number}`)
  const [least, most] = study.design === 'review' ? COUNT.review : COUNT.other
  const near = byTopic.get(study.topic.id) ?? []
  const cited = new Set<Work>()
  const found: NonNullable<Rec['references']> = []
  for (let n = random.int(least, most); n > 0; n--) {
    if (random.int(0, 99) < ELSEWHERE) {
      found.push({ raw: elsewhere(work, random) })
      continue
    }
    const of = random.chance(0.8) ? near : all
    const other = of.length ? of[random.int(0, of.length - 1)]! : undefined
    if (!other || other.study.year >= study.year || cited.has(other)) continue
    cited.add(other)
    const wrong = random.int(0, 99) < WRONG
    const id = idOf(other)
    // What is printed wrongly is not recognised by the database either.
    found.push({ raw: printed(other, wrong ? random : undefined), ...(id && !wrong ? { id } : {}) })
  }
  return found
}

/** "Aldwen R, Prins D. Title. Journal. 2014;12(3):45–58." */
function printed({ study, prose }: Work, wrong: Random | undefined): string {
  const spoil = wrong?.chance(0.5)
  const names = study.authors.map((a, i) => {
    const family = spoil === true && i === 0 ? misspelt(a.family, wrong!) : a.family
    return `${family} ${a.given[0]!}`
  })
  const who = names.length > 3 ? [...names.slice(0, 3), 'et al'] : names
  const year = spoil === false ? study.year + (wrong!.chance(0.5) ? 1 : -1) : study.year
  const issue = study.journal.kind === 'journal' ? `(${study.issue})` : ''
  return `${who.join(', ')}. ${prose.title.replace(/\.$/, '')}. ${study.journal.name}. ${year};${study.volume}${issue}:${study.page}–${study.page + study.pages}.`
}

/** Two letters beside each other changed places. */
function misspelt(name: string, random: Random): string {
  const at = random.int(1, Math.max(1, name.length - 2))
  return name.slice(0, at) + (name[at + 1] ?? '') + name[at]! + name.slice(at + 2)
}

/** A book or a report that no stand-in holds. */
function elsewhere({ study }: Work, random: Random): string {
  const family = random.pick(FAMILY_STARTS) + random.pick(FAMILY_ENDS)
  const year = study.year - random.int(1, 25)
  const about = random.chance(0.5) ? study.exposure.np : study.outcome.np
  const title = random.pick([
    `A handbook on ${about}`,
    `Notes on ${about}`,
    `${about.replace(/^./, (c) => c.toUpperCase())}: a report`,
  ])
  return `${family} ${random.pick(['A', 'B', 'E', 'K', 'M', 'S'])}. ${title}. ${year}.`
}
