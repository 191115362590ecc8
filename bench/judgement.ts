// How well advice judges: faults planted one at a time and two at once into drafted and hand-typed sheets over eight topics, near
// misses beside them. Four topics were looked at while the rules were written (SEEN), four were not.
import { triedOn, triedTwice, type Setting, type Trial } from '../src/workers/planted/trial.fixture'

export const SEEN = ['noise-and-reading', 'ventilation', 'vocabulary', 'attention']
export const UNSEEN = ['daylight', 'homework', 'open-plan-schools', 'furniture']

const percent = (n: number, of: number): string => (of ? `${Math.round((100 * n) / of)} %` : '–')

function told(label: string, trials: readonly Trial[]): void {
  const planted = trials.filter((t) => t.planted > 0)
  const faults = planted.reduce((n, t) => n + t.planted, 0)
  const right = planted.reduce((n, t) => n + t.right, 0)
  const needless = trials.reduce((n, t) => n + t.needless.length, 0)
  const others = trials.filter((t) => !t.planted)
  const alarms = others.reduce((n, t) => n + t.needless.length, 0)
  console.log(
    `${label}: ${right} of ${faults} told at their line (recall ${percent(right, faults)}), ${needless} needless remarks (precision ${percent(right, right + needless)}); on ${others.length} sheets without a fault ${alarms}`,
  )
}

for (const setting of ['here', 'brought in', 'outside'] as Setting[])
  for (const [name, topics] of [
    ['looked at', SEEN],
    ['not looked at', UNSEEN],
  ] as const) {
    const one: Trial[] = []
    const two: Trial[] = []
    for (const topic of topics) {
      one.push(...(await triedOn(topic, setting)))
      two.push(...(await triedTwice(topic, setting)))
    }
    told(`records ${setting}, topics ${name}, one fault`, one)
    told(`records ${setting}, topics ${name}, two faults`, two)
    // The element under which a kind of fault is told, wherever it is told.
    const elementOf = new Map(one.flatMap((t) => (t.element ? [[t.operator, t.element] as const] : [])))
    for (const element of new Set(elementOf.values())) {
      const own = one.filter((t) => t.planted && elementOf.get(t.operator) === element)
      console.log(`    ${element}: ${own.reduce((n, t) => n + t.right, 0)} of ${own.length}`)
    }
    for (const t of [...one, ...two])
      if (process.env.TELL && (t.right < t.planted || t.needless.length))
        console.log(
          `      ${t.operator} (${t.topic}, ${t.source}, ${t.how}): ${t.right} of ${t.planted}; ${t.needless.map((r) => `${r.code}: ${r.message}`).join(' | ')}`,
        )
  }
