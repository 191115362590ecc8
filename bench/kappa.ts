// How often the interval of kappa is given, and how often it covers the true kappa, in simulated pairs of readers. Run it with
// `npx tsx bench/kappa.ts`; its table stands in docs/selection.md. The seed is fixed: the same table each time.
import { kappaInterval, kappaOf } from '../src/core/selection'

/** Mulberry32: small, and the same everywhere. */
function chance(seed: number): () => number {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Two readers, each right about works that belong in and about those that do not with these chances. */
type Readers = [in1: number, out1: number, in2: number, out2: number]
const joint = (p: number, [a, b, c, d]: Readers): number[][] => [
  [p * a * c + (1 - p) * (1 - b) * (1 - d), p * a * (1 - c) + (1 - p) * (1 - b) * d],
  [p * (1 - a) * c + (1 - p) * b * (1 - d), p * (1 - a) * (1 - c) + (1 - p) * b * d],
]
const CASES: readonly [name: string, readers: Readers][] = [
  ['nearly always alike', [0.97, 0.99, 0.97, 0.99]],
  ['good', [0.9, 0.95, 0.85, 0.95]],
  ['fair', [0.7, 0.85, 0.7, 0.85]],
  ['one far laxer', [0.9, 0.95, 0.95, 0.6]],
  ['by chance', [0.5, 0.5, 0.5, 0.5]],
]
const DRAWS = 4000
const random = chance(20261130)

console.log('| works | belong in | readers | kappa | given | covers |')
console.log('|---|---|---|---|---|---|')
for (const works of [60, 120, 300])
  for (const p of [0.1, 0.2, 0.35, 0.5])
    for (const [name, readers] of CASES) {
      const cells = joint(p, readers)
      const { kappa } = kappaOf(cells.map((row) => row.map((x) => x * 1e9)))!
      let [given, covers] = [0, 0]
      for (let draw = 0; draw < DRAWS; draw++) {
        const table = [
          [0, 0],
          [0, 0],
        ]
        for (let n = 0; n < works; n++) {
          let at = random()
          const place = cells.flat().findIndex((x) => (at -= x) < 0)
          table[place < 2 ? 0 : 1]![(place + 4) % 2]!++
        }
        const interval = kappaInterval(table)
        if (!interval) continue
        given++
        if (interval[0] <= kappa && kappa <= interval[1]) covers++
      }
      const percent = (n: number, of: number): string => (of ? `${((100 * n) / of).toFixed(1)} %` : '–')
      console.log(
        `| ${works} | ${p * 100} % | ${name} | ${kappa.toFixed(2)} | ${percent(given, DRAWS)} | ${percent(covers, given)} |`,
      )
    }
