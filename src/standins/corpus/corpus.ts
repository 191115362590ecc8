import { Random } from './random'
import { drawStudy, type Study } from './study'
import { writeProse, type Prose } from './prose'
import type { Topic } from './topic'
import { SCHOOL_TOPICS } from './topics/school'
import { SOUND_TOPICS } from './topics/sound'

export const TOPICS: readonly Topic[] = [...SOUND_TOPICS, ...SCHOOL_TOPICS]

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
  return Array.from({ length: count }, (_, i) => {
    const topic = byId.get(random.weighted(weights))!
    const own = new Random(`${seed}/${i}`)
    const study = drawStudy(i + 1, topic, own, last)
    return { study, prose: writeProse(study, own, taken) }
  })
}
