import {
  COUNTRIES,
  FAMILY_ENDS,
  FAMILY_STARTS,
  GIVEN,
  JOURNALS,
  type Discipline,
  type Journal,
} from './world'
import type { Random } from './random'
import type { Design, Item, Stage, Topic } from './topic'

export type Effect = 'gain' | 'none' | 'loss'

/** What was really done and found: every record of the work is written from this. */
export interface Study {
  number: number
  topic: Topic
  stage: Stage
  design: Design
  exposure: Item
  outcome: Item
  /** A second outcome, where there is one. */
  also?: Item
  effect: Effect
  /** Standardised mean difference or correlation, small more often than large. */
  size: number
  people: number
  rooms: number
  schools: number
  ages: [number, number]
  good?: number
  bad?: number
  country: string
  authorCountry: string
  authors: { given: string; family: string }[]
  year: number
  journal: Journal
  volume: number
  issue: number
  page: number
  pages: number
  language: 'en' | 'de' | 'es'
  /** Authors may leave the setting out of title and abstract. */
  settingSaid: boolean
  /** Year-month in which the work reached the databases. */
  entered: string
  openAccess: boolean
  cited: number
  spelling: 'british' | 'american'
}

const AGES: Record<Stage, [number, number][]> = {
  preschool: [
    [3, 5],
    [4, 6],
    [5, 6],
  ],
  primary: [
    [5, 7],
    [6, 8],
    [7, 9],
    [6, 12],
    [8, 10],
    [9, 11],
    [7, 11],
    [6, 7],
  ],
  secondary: [
    [11, 13],
    [12, 14],
    [13, 16],
    [14, 17],
  ],
  university: [
    [18, 25],
    [19, 27],
    [20, 30],
  ],
  special: [
    [6, 11],
    [7, 12],
    [8, 13],
  ],
  adults: [
    [25, 60],
    [20, 65],
  ],
  none: [[20, 65]],
}

const DISCIPLINE: Record<string, Partial<Record<Discipline, number>>> = {
  fernhollow: { education: 8, psychology: 2, health: 1, engineering: 0.6 },
  girder: { engineering: 9, education: 1, health: 1 },
  mindmere: { psychology: 8, education: 2, health: 2 },
}

/** Draws a study of a topic. `lastYear` and `lastMonth` bound when it reached the databases. */
export function drawStudy(
  number: number,
  topic: Topic,
  random: Random,
  last: { year: number; month: number },
): Study {
  const stage = random.weighted(topic.stages)
  const design = random.weighted(topic.designs)
  const exposure = random.pick(topic.exposures)
  const outcomes = topic.outcomes.filter((o) => o.np !== exposure.np)
  const outcome = random.pick(outcomes)
  const also = random.chance(0.45) ? random.pick(outcomes) : undefined
  const effect = random.weighted<Effect>({ gain: 58, none: 30, loss: 12 })
  const large = random.chance(0.15)
  const size =
    effect === 'none'
      ? random.decimal(0.01, 0.09, 2)
      : large
        ? random.decimal(0.5, 0.92, 2)
        : random.decimal(0.14, 0.46, 2)
  const schools = random.zipf([2, 3, 4, 6, 5, 8, 12, 10, 9, 18, 24], 0.7)
  const rooms = schools * random.int(1, 4)
  const people = peopleIn(design, rooms, random)
  const year = yearOf(random, last.year)
  const month = year === last.year ? random.int(1, last.month) : random.int(1, 12)
  const journal = journalFor(topic, random)
  const country =
    journal.language === 'de'
      ? random.pick(['Germany', 'Austria', 'Switzerland'])
      : journal.language === 'es'
        ? random.pick(['Spain', 'Chile', 'Colombia', 'Uruguay'])
        : random.zipf(COUNTRIES, 0.5)
  const { good: g, bad: b, decimals } = exposure.levels ?? { good: undefined, bad: undefined, decimals: 0 }
  return {
    number,
    topic,
    stage,
    design,
    exposure,
    outcome,
    ...(also && also.np !== outcome.np ? { also } : {}),
    effect,
    size,
    people,
    rooms: Math.max(2, rooms),
    schools,
    ages: random.pick(AGES[stage]),
    ...(g && b ? { good: random.decimal(...g, decimals), bad: random.decimal(...b, decimals) } : {}),
    country,
    authorCountry: random.chance(0.86) ? country : random.zipf(COUNTRIES, 0.5),
    authors: Array.from({ length: random.zipf([2, 3, 1, 4, 5], 0.6) }, () => ({
      given:
        random.pick(GIVEN) + (random.chance(0.2) ? ` ${String.fromCharCode(65 + random.int(0, 22))}.` : ''),
      family: random.pick(FAMILY_STARTS) + random.zipf(FAMILY_ENDS, 0.4),
    })),
    year,
    journal,
    volume: Math.max(1, year - 1978 - (number % 17)),
    issue: random.int(1, 4),
    page: random.int(1, 480),
    pages: random.int(6, 24),
    language: journal.language !== 'en' && random.chance(0.85) ? journal.language : 'en',
    settingSaid: (stage !== 'adults' || !topic.who) && (stage === 'none' || random.chance(0.66)),
    entered: `${year}-${String(month).padStart(2, '0')}`,
    openAccess: random.chance(year > 2015 ? 0.46 : 0.14),
    cited: Math.floor(random.next() ** 4 * 9 * Math.max(1, last.year - year)),
    spelling: random.chance(0.62) ? 'british' : 'american',
  }
}

function peopleIn(design: Design, rooms: number, random: Random): number {
  switch (design) {
    case 'interviews':
      return random.int(12, 38)
    case 'experiment':
      return random.int(18, 140)
    case 'longitudinal':
      return random.int(90, 900)
    case 'survey':
      return random.int(140, 2400)
    case 'review':
      return random.int(11, 84)
    case 'modelling':
    case 'measurement':
      return Math.max(12, rooms * random.int(4, 20))
    default:
      return Math.max(24, rooms * random.int(14, 26))
  }
}

/** More studies the later the year; a long thin tail back to 1985. */
function yearOf(random: Random, last: number): number {
  const age = Math.floor(random.next() ** 1.9 * (last - 1985 + 1))
  return last - Math.min(age, last - 1985)
}

function journalFor(topic: Topic, random: Random): Journal {
  const home = random.weighted(topic.covered)
  const discipline = random.weighted(DISCIPLINE[home]!)
  const fitting = JOURNALS.filter((j) => j.discipline === discipline)
  return random.zipf(fitting, 0.55)
}
