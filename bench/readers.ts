// Long texts in every reader: 40,000 parts beside 4,000 of the same. Ten is linear; at most fifteen is asked for.
import { parse, readCql } from '../src/core/query'
import { readFrom } from '../src/core/profile'
import { PROFILES } from '../src/standins/profiles'

const words = (n: number): string[] => Array.from({ length: n }, (_, i) => `w${i}`)
const readers: Record<string, (text: string) => unknown> = {
  plain: parse,
  cql: readCql,
  ...Object.fromEntries(Object.values(PROFILES).map((p) => [p.id, (text: string) => readFrom(text, p)])),
}
const texts: Record<string, (n: number) => string> = {
  'joined by AND': (n) => words(n).join(' AND '),
  'joined by OR': (n) => words(n).join(' OR '),
  'side by side': (n) => words(n).join(' '),
  'chained by nearness': (n) => `${'a NEAR/3 near3 '.repeat(n / 2)}b`,
}
const took = (run: () => unknown): number => {
  // What other runs left behind is not counted to this one.
  globalThis.gc?.()
  const start = performance.now()
  run()
  return performance.now() - start
}
let worst = 0
for (const [kind, make] of Object.entries(texts))
  for (const [reader, read] of Object.entries(readers)) {
    read(make(400))
    const [short, long] = [make(4_000), make(40_000)]
    const times = [1, 2, 3, 4, 5, 6, 7].map(() => [took(() => read(short)), took(() => read(long))] as const)
    const ratio = Math.min(...times.map((t) => t[1])) / Math.min(...times.map((t) => t[0]))
    worst = Math.max(worst, ratio)
    console.log(`${reader.padEnd(12)} ${kind.padEnd(20)} ${ratio.toFixed(1)} times the time of a tenth`)
  }
console.log(`worst: ${worst.toFixed(1)}`)
