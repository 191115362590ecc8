import { describe, expect, it } from 'vitest'
import { trials as drawn } from '@/core/base/trials.fixture'
import { recounted, triedOn, triedTwice, type Trial } from './trial.fixture'

/** Topics that nobody looked at while the rules were written; all eight stand in `npm run bench -- judgement`. */
const TOPICS = ['daylight', 'homework', 'open-plan-schools', 'furniture'].slice(0, drawn(1, 4))

const words = (list: readonly Trial[]): string[] =>
  list.flatMap((t) =>
    t.needless.map((r) => `${t.operator} (${t.topic}, ${t.source}, ${t.how}): ${r.message}`),
  )

describe('faults planted into sheets of other topics', () => {
  it.each(['here', 'brought in', 'outside'] as const)(
    'are told at their line, one alone or two at once, and little else is said: records %s',
    async (setting) => {
      const all = []
      for (const topic of TOPICS)
        all.push(...(await triedOn(topic, setting)), ...(await triedTwice(topic, setting)))
      const faults = all.reduce((n, t) => n + t.planted, 0)
      const right = all.reduce((n, t) => n + t.right, 0)
      expect(faults).toBeGreaterThan(50)
      expect(right / faults).toBeGreaterThanOrEqual(0.85)
      const needless = words(all)
      expect(right / (right + needless.length), needless.join('\n')).toBeGreaterThanOrEqual(0.9)
      const sound = all.filter((t) => !t.planted)
      expect(words(sound).length / sound.length).toBeLessThanOrEqual(0.1)
    },
  )
})

describe('a gain that is told', () => {
  it('is what running the changed lines gives, each time', async () => {
    const topics = ['homework', 'vocabulary', 'noise-and-reading', 'attention', 'daylight'].slice(
      0,
      drawn(3, 5),
    )
    const all = (await Promise.all(topics.map(recounted))).flat()
    expect(all.length).toBeGreaterThan(drawn(80, 200))
    expect(new Set(all.map((g) => g.code)).size).toBeGreaterThanOrEqual(8)
    expect(all.filter((g) => g.told !== g.ran)).toEqual([])
  })
})
