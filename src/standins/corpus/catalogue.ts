import type { Rec } from '../../core/records'
import type { Prose } from './prose'
import type { Random } from './random'
import type { Study } from './study'

const POPULATION: Record<Study['stage'], string[]> = {
  preschool: ['early childhood'],
  primary: ['primary'],
  secondary: ['secondary'],
  university: ['higher'],
  special: ['primary', 'special education'],
  adults: ['adult'],
  none: [],
}

/** A DOI under the prefix kept for examples; a tenth of the older works have none. */
export function doiOf(study: Study): string | undefined {
  if (study.year < 2002 && study.number % 10 < 6) return undefined
  const journal = study.journal.name
    .split(/\s+/)
    .map((w) => w[0]!.toLowerCase())
    .join('')
    .normalize('NFD')
    .replace(/[^a-z]/g, '')
  return `10.5555/${journal}.${study.year}.${String(study.number).padStart(4, '0')}`
}

/** What all databases agree on, before each damages its copy. */
export function plainRecord(study: Study, prose: Prose, id: string): Rec {
  const doi = doiOf(study)
  return {
    id,
    title: prose.title,
    abstract: prose.abstract,
    authors: study.authors.map((a) => `${a.family}, ${a.given}`),
    year: study.year,
    journal: study.journal.name,
    volume: String(study.volume),
    ...(study.journal.kind === 'journal' ? { issue: String(study.issue) } : {}),
    pages: `${study.page}–${study.page + study.pages}`,
    ...(doi ? { doi } : {}),
    issn: study.journal.issn,
    language: study.language,
    type:
      study.journal.kind === 'proceedings'
        ? 'conference paper'
        : study.journal.peerReviewed
          ? 'journal article'
          : 'magazine article',
    peerReviewed: study.journal.peerReviewed,
    openAccess: study.openAccess,
    keywords: [],
    headings: [],
    classes: [],
    places: [],
    authorPlaces: [],
    population: [],
    tests: [],
    method: [],
    extra: {},
  }
}

/** Author keywords: the usual words of the exposure and the outcome, some of the others. */
export function authorKeywords(study: Study, random: Random): string[] {
  const words = [study.exposure.keywords[0], study.outcome.keywords[0]].flatMap((k) => (k ? [k] : []))
  const more = [
    ...study.exposure.keywords.slice(1),
    ...study.outcome.keywords.slice(1),
    ...(study.also?.keywords.slice(0, 1) ?? []),
  ]
  const setting =
    study.settingSaid && study.stage === 'primary' && random.chance(0.5)
      ? [random.pick(['primary school', 'elementary school', 'primary education', 'classrooms'])]
      : []
  return [...new Set([...words, ...random.some(more, random.int(1, 3)), ...setting])]
}

const STAGE_HEADINGS: Record<Study['stage'], string[][]> = {
  preschool: [['Preschool children', 'Early childhood education'], ['Preschool rooms']],
  primary: [
    ['Elementary school pupils', 'Primary education'],
    ['Elementary school classrooms', 'Grade 1 pupils', 'Grade 2 pupils', 'Grade 3 pupils'],
  ],
  secondary: [['Secondary school pupils', 'Secondary education'], ['Secondary school classrooms']],
  university: [['University students', 'Higher education'], ['Lecture theatres']],
  special: [['Special education', 'Learners with hearing loss'], ['Elementary school pupils']],
  adults: [['Adult learners'], []],
  none: [[], []],
}

const DESIGN_HEADING: Record<Study['design'], string> = {
  experiment: 'Experiments',
  'field trial': 'Experiments',
  survey: 'Surveys',
  observation: 'Field studies',
  longitudinal: 'Longitudinal studies',
  interviews: 'Interviews',
  review: 'Literature reviews',
  modelling: 'Research methods',
  measurement: 'Field studies',
}

/** A year before which a heading did not exist: the indexer then took the broader one, as told. */
export interface HeadingHistory {
  since: (label: string) => number | undefined
  broader: (label: string) => string | undefined
}

/**
 * The record as the Fernhollow Education Index has it: headings chosen by an indexer who sometimes errs, level of
 * education as a population, abstracts missing now and then, the newest records not indexed yet.
 */
export function fernhollowRecord(
  study: Study,
  prose: Prose,
  random: Random,
  history: HeadingHistory,
  release: { newest: string },
): Rec {
  const record = plainRecord(study, prose, `FE${String(100000 + study.number * 7)}`)
  record.keywords = random.chance(0.7) ? authorKeywords(study, random) : []
  record.population = POPULATION[study.stage]
  if (random.chance(0.08) || (study.year < 1996 && random.chance(0.4))) delete record.abstract
  const indexed = study.entered < release.newest
  if (indexed) {
    const wanted: { label: string; main: boolean }[] = []
    const add = (label: string | undefined, main: boolean): void => {
      if (!label) return
      const old = history.since(label)
      const used = old && study.year < old ? history.broader(label) : label
      if (used && !wanted.some((h) => h.label === used)) wanted.push({ label: used, main })
    }
    add(study.exposure.headings.fernhollow[0], true)
    add(study.outcome.headings.fernhollow[0], true)
    for (const h of study.exposure.headings.fernhollow.slice(1)) if (random.chance(0.5)) add(h, false)
    for (const h of study.outcome.headings.fernhollow.slice(1)) if (random.chance(0.5)) add(h, false)
    if (study.also) add(study.also.headings.fernhollow[0], random.chance(0.3))
    const [usual, narrow] = STAGE_HEADINGS[study.stage]
    if (usual?.length && random.chance(0.85)) add(random.zipf(usual, 1), false)
    if (narrow?.length && random.chance(0.35)) add(random.zipf(narrow, 1), false)
    if (random.chance(0.55)) add(DESIGN_HEADING[study.design], false)
    // Indexers err: one heading forgotten, or the main focus not marked.
    if (wanted.length > 2 && random.chance(0.1)) wanted.splice(random.int(0, wanted.length - 1), 1)
    if (random.chance(0.08)) for (const h of wanted) h.main = false
    record.headings = wanted
  }
  if (random.chance(0.03)) delete record.doi
  if (random.chance(0.02)) delete record.language
  return record
}
