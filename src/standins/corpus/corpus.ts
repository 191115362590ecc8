import { Random } from './random'
import { drawStudy, type Study } from './study'
import { writeProse, type Prose } from './prose'
import type { Topic } from './topic'
import { BUILDING_TOPICS } from './topics/building'
import { LEARNING_TOPICS } from './topics/learning'
import { ROOM_TOPICS } from './topics/rooms'
import { SCHOOL_LIFE_TOPICS } from './topics/school-life'
import { SOUND_TOPICS } from './topics/sound'

export const TOPICS: readonly Topic[] = [
  ...SOUND_TOPICS,
  ...ROOM_TOPICS,
  ...LEARNING_TOPICS,
  ...SCHOOL_LIFE_TOPICS,
  ...BUILDING_TOPICS,
]

export interface Work {
  study: Study
  prose: Prose
}

/** Draws so many works, the same ones for the same seed. `last` bounds when they reached the databases. */
export function drawWorks(count: number, seed: string, last: { year: number; month: number }): Work[] {
  const random = new Random(seed)
  const taken = new Set<string>()
  const weights = Object.fromEntries(TOPICS.map((t) => [t.id, t.weight]))
  const byId = new Map(TOPICS.map((t) => [t.id, t]))
  const works: Work[] = []
  for (let i = 0; i < count; i++) {
    const own = new Random(`${seed}/${i}`)
    const before = works[i - 1]
    // A conference paper and the article that grew out of it are two works: same study, other words and pages.
    const grown = before && before.study.journal.kind === 'proceedings' && own.chance(0.3)
    const topic = byId.get(random.weighted(weights))!
    const drawn = drawStudy(i + 1, grown ? before.study.topic : topic, own, last)
    const study = grown ? articleOf(before.study, drawn, last) : drawn
    works.push({ study, prose: writeProse(study, own, taken) })
  }
  return works
}

/** The journal article behind a conference paper: a year later, longer, with the same people and rooms. */
function articleOf(paper: Study, drawn: Study, last: { year: number; month: number }): Study {
  const later = paper.year + 1 <= last.year
  return {
    ...paper,
    number: drawn.number,
    journal: drawn.journal.kind === 'journal' ? drawn.journal : paper.journal,
    year: later ? paper.year + 1 : paper.year,
    entered: later && paper.year + 1 < last.year ? `${paper.year + 1}-06` : `${last.year}-01`,
    volume: drawn.volume,
    issue: drawn.issue,
    page: drawn.page,
    pages: drawn.pages + 4,
  }
}
