import type { Rec } from '../../core/records'
import type { Prose } from './prose'
import type { Random } from './random'
import type { Study } from './study'

const LEVEL: Record<Study['stage'], string[]> = {
  preschool: ['early childhood'],
  primary: ['primary'],
  secondary: ['secondary'],
  university: ['higher'],
  special: ['primary', 'special education'],
  adults: ['adult'],
  none: [],
}

const AGE: Record<Study['stage'], string[]> = {
  preschool: ['preschool age (2–5)'],
  primary: ['school age (6–12)'],
  secondary: ['adolescence (13–17)'],
  university: ['young adulthood (18–29)'],
  special: ['school age (6–12)'],
  adults: ['adulthood (18 and over)'],
  none: ['adulthood (18 and over)'],
}

export const METHOD: Record<Study['design'], string> = {
  experiment: 'experiment',
  'field trial': 'trial',
  survey: 'questionnaire',
  observation: 'observation',
  longitudinal: 'follow-up',
  interviews: 'interviews',
  review: 'literature review',
  modelling: 'model',
  measurement: 'measurement',
}

/** A DOI under the prefix kept for examples; more than half of the older works have none. */
export function doiOf(study: Study): string | undefined {
  if (study.year < 2002 && study.number % 10 < 6) return undefined
  const journal = study.journal.name
    .normalize('NFD')
    .split(/\s+/)
    .map((w) => w[0]!.toLowerCase())
    .join('')
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
  const usual = [study.exposure.keywords[0], study.outcome.keywords[0]].flatMap((k) => (k ? [k] : []))
  const more = [
    ...study.exposure.keywords.slice(1),
    ...study.outcome.keywords.slice(1),
    ...(study.also?.keywords.slice(0, 1) ?? []),
  ]
  const setting =
    study.settingSaid && study.stage === 'primary' && random.chance(0.5)
      ? [random.pick(['primary school', 'elementary school', 'primary education', 'classrooms'])]
      : []
  return [...new Set([...usual, ...random.some(more, random.int(1, 3)), ...setting])]
}

/** A year before which a heading did not exist: the indexer then took the broader one, as told. */
export interface HeadingHistory {
  since: (label: string) => number | undefined
  broader: (label: string) => string | undefined
}

type Vocabulary = 'fernhollow' | 'girder' | 'mindmere'

const STAGE_HEADINGS: Record<Vocabulary, Partial<Record<Study['stage'], string[]>>> = {
  fernhollow: {
    preschool: ['Preschool children', 'Early childhood education', 'Preschool rooms'],
    primary: [
      'Elementary school pupils',
      'Primary education',
      'Elementary school classrooms',
      'Grade 1 pupils',
      'Grade 2 pupils',
      'Grade 3 pupils',
    ],
    secondary: ['Secondary school pupils', 'Secondary education', 'Secondary school classrooms'],
    university: ['University students', 'Higher education', 'Lecture theatres'],
    special: ['Special education', 'Learners with hearing loss', 'Elementary school pupils'],
    adults: ['Adult learners'],
  },
  girder: {
    preschool: ['Nurseries'],
    primary: ['Primary schools', 'Educational buildings', 'Classroom acoustics', 'Teaching spaces'],
    secondary: ['Secondary schools', 'Educational buildings'],
    university: ['Universities', 'Lecture rooms'],
    special: ['Educational buildings'],
    adults: ['Offices'],
  },
  mindmere: {
    preschool: ['Early childhood'],
    primary: ['School age', 'School environment'],
    secondary: ['Adolescence', 'School environment'],
    university: ['Young adults'],
    special: ['School age', 'Special education'],
    adults: ['Adulthood'],
  },
}

const DESIGN_HEADING: Record<Vocabulary, Partial<Record<Study['design'], string>>> = {
  fernhollow: {
    experiment: 'Experiments',
    'field trial': 'Experiments',
    survey: 'Surveys',
    observation: 'Field studies',
    longitudinal: 'Longitudinal studies',
    interviews: 'Interviews',
    review: 'Literature reviews',
    measurement: 'Field studies',
  },
  girder: {
    'field trial': 'Experiments in buildings',
    survey: 'Surveys of users',
    measurement: 'Field measurement',
    modelling: 'Simulation',
    experiment: 'Listening tests',
    review: 'Reviews of literature',
  },
  mindmere: {
    experiment: 'Repeated measures',
    'field trial': 'Randomized trials',
    survey: 'Questionnaires',
    observation: 'Observation methods',
    longitudinal: 'Longitudinal studies',
    interviews: 'Interviews',
    review: 'Evidence synthesis',
  },
}

/**
 * What an indexer of this vocabulary gives a study: the topic as main focus, the stage most of the time, the method
 * sometimes, and now and then an error. A heading that did not exist in the year is replaced by the broader one.
 */
export function indexed(
  study: Study,
  vocabulary: Vocabulary,
  random: Random,
  history: HeadingHistory,
): Rec['headings'] {
  const wanted: Rec['headings'] = []
  const add = (label: string | undefined, main: boolean): void => {
    if (!label) return
    const from = history.since(label)
    const used = from && study.year < from ? history.broader(label) : label
    if (used && !wanted.some((h) => h.label === used)) wanted.push({ label: used, main })
  }
  const [x, y] = [study.exposure.headings[vocabulary], study.outcome.headings[vocabulary]]
  add(x[0], true)
  add(y[0], true)
  for (const h of [...x.slice(1), ...y.slice(1)]) if (random.chance(0.5)) add(h, false)
  if (study.also) add(study.also.headings[vocabulary][0], random.chance(0.3))
  const stages =
    study.topic.who && vocabulary !== 'girder' ? [] : (STAGE_HEADINGS[vocabulary][study.stage] ?? [])
  if (stages.length && random.chance(0.85)) add(random.zipf(stages, 1), false)
  if (stages.length > 2 && random.chance(0.35)) add(random.zipf(stages.slice(1), 1), false)
  if (random.chance(0.55)) add(DESIGN_HEADING[vocabulary][study.design], false)
  if (wanted.length > 2 && random.chance(0.1)) wanted.splice(random.int(0, wanted.length - 1), 1)
  if (random.chance(0.08)) for (const h of wanted) h.main = false
  return wanted
}

export interface CopyContext {
  random: Random
  history: HeadingHistory
  /** Records that came in this month or later wait for their headings. */
  unindexedFrom: string
}

const countryName = (name: string): string => name.replace(/^the /, 'The ')

/** Education: levels, a flag for peer review, abstracts missing now and then. */
export function fernhollowRecord(
  study: Study,
  prose: Prose,
  { random, history, unindexedFrom }: CopyContext,
): Rec {
  const record = plainRecord(study, prose, `FE${String(100000 + study.number * 7)}`)
  record.keywords = random.chance(0.7) ? authorKeywords(study, random) : []
  record.population = LEVEL[study.stage]
  record.peerReviewed = study.journal.peerReviewed !== random.chance(0.03)
  if (random.chance(0.08) || (study.year < 1996 && random.chance(0.4))) delete record.abstract
  if (study.entered < unindexedFrom) record.headings = indexed(study, 'fernhollow', random, history)
  if (random.chance(0.03)) delete record.doi
  if (random.chance(0.02)) delete record.language
  return record
}

/** Building and acoustics: class codes, place studied beside place of the authors, initials, subtitle after a dash. */
export function girderRecord(
  study: Study,
  prose: Prose,
  { random, history, unindexedFrom }: CopyContext,
): Rec {
  const record = plainRecord(study, prose, `GS-${study.year}-${String(study.number).padStart(5, '0')}`)
  record.title = prose.title.replace(/: (\p{Lu})/u, (_, c: string) => ` – ${c.toLowerCase()}`)
  record.authors = study.authors.map((a) => `${a.family}, ${initials(a.given)}`)
  record.keywords = random.chance(0.5) ? authorKeywords(study, random) : []
  record.places =
    study.design === 'review' || study.design === 'modelling' ? [] : [countryName(study.country)]
  record.authorPlaces = [countryName(study.authorCountry)]
  if (study.entered < unindexedFrom) {
    record.headings = indexed(study, 'girder', random, history)
    record.classes = [
      ...new Set([...study.exposure.classes, ...(random.chance(0.4) ? study.outcome.classes : [])]),
    ]
  }
  if (random.chance(0.12)) delete record.doi
  if (random.chance(0.1)) delete record.abstract
  if (random.chance(0.15)) record.pages = String(study.page)
  return record
}

/** Psychology: named measures, age groups, method; a flag for peer review. */
export function mindmereRecord(
  study: Study,
  prose: Prose,
  { random, history, unindexedFrom }: CopyContext,
): Rec {
  const record = plainRecord(study, prose, `M${study.year}${String(study.number * 3).padStart(6, '0')}`)
  record.authors = study.authors.map((a) => `${unaccented(a.family, random)}, ${a.given}`)
  record.keywords = random.chance(0.85) ? authorKeywords(study, random) : []
  record.peerReviewed = study.journal.peerReviewed !== random.chance(0.02)
  record.population = AGE[study.stage]
  record.method = [METHOD[study.design]]
  record.tests = [study.outcome.test, study.also?.test].flatMap((t) => (t && random.chance(0.85) ? [t] : []))
  if (study.entered < unindexedFrom) record.headings = indexed(study, 'mindmere', random, history)
  if (random.chance(0.04)) delete record.abstract
  return record
}

/** Citations: author keywords, times cited, open access, titles in capitals at every word. */
export function widebandRecord(study: Study, prose: Prose, { random }: CopyContext): Rec {
  const record = plainRecord(study, prose, `W${String(900000 + study.number * 11)}`)
  record.title = capitals(prose.title)
  record.authors = study.authors.map((a) => `${a.family}, ${initials(a.given).replace(/\.\s?/g, '')}`)
  record.keywords = authorKeywords(study, random)
  record.authorPlaces = [countryName(study.authorCountry)]
  record.openAccess = study.openAccess
  record.timesCited = study.cited
  if (study.year < 1998 && random.chance(0.5)) delete record.abstract
  delete record.language
  if (random.chance(0.05)) delete record.doi
  return record
}

/** A library's own layer: full text, no headings, subtitle cut off, a session link. */
export function quaysideRecord(study: Study, prose: Prose, { random }: CopyContext, fulltext: string): Rec {
  const record = plainRecord(study, prose, `q${study.number}-${random.int(1000, 9999)}`)
  if (random.chance(0.2)) record.title = prose.title.split(/[:.?] /)[0]!
  record.keywords = random.chance(0.4) ? authorKeywords(study, random) : []
  record.peerReviewed = study.journal.kind === 'journal'
  if (random.chance(0.35)) delete record.abstract
  if (random.chance(0.25)) delete record.doi
  if (random.chance(0.1)) delete record.issue
  record.fulltext = fulltext
  return record
}

const initials = (given: string): string =>
  given
    .split(/\s+/)
    .map((g) => `${g[0]}.`)
    .join(' ')

function unaccented(name: string, random: Random): string {
  return random.chance(0.5) ? name.normalize('NFD').replace(/\p{M}+/gu, '') : name
}

const SMALL = new Set([
  'a',
  'an',
  'and',
  'the',
  'of',
  'in',
  'on',
  'to',
  'for',
  'with',
  'at',
  'its',
  'by',
  'or',
  'from',
])

/** Capitals at every word that is not small, as some databases print titles. */
function capitals(title: string): string {
  return title.replace(
    /(^|[\s–-])(\p{Ll}[\p{L}’']*)/gu,
    (_, before: string, w: string) =>
      before + (before !== '' && SMALL.has(w) ? w : w.replace(/^./u, (c) => c.toUpperCase())),
  )
}
