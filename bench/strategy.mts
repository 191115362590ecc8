// A strategy of 150 lines over 100,000 records: run whole, run again unchanged, run after one line was edited. The same
// hits are checked each time.
import { performance } from 'node:perf_hooks'
import { Builder } from '../src/core/engine'
import { runStrategy, type LineLike, type RunCache } from '../src/core/strategy'
import { drawWorks } from '../src/standins/corpus/corpus'
import { Random } from '../src/standins/corpus/random'
import { PROFILES } from '../src/standins/profiles'

const SIZE = Number(process.env.RECORDS ?? 100_000)
const pool = drawWorks(4000, 'bench', { year: 2026, month: 6 }).map((w) => w.prose)
const texts = new Random('bench texts')
const builder = new Builder()
for (let n = 0; n < SIZE; n++) {
  const [a, b] = [texts.pick(pool), texts.pick(pool)]
  builder.add({
    fields: { title: [a.title], abstract: [`${a.abstract} ${b.abstract}`] },
    headings: [],
    classes: [],
    facets: { year: [1990 + (n % 36)], language: [n % 9 ? 'en' : 'de'] },
  })
}
const index = builder.finish()
const random = new Random('strategy bench')
const WORDS =
  'noise reverberat* acoustic* babble hearing listening read* pupil* classroom* teacher* school* traffic ventilation daylight memory attention voice music sound speech effort comprehension fluency'.split(
    ' ',
  )
const text = (): string =>
  `text: (${Array.from({ length: random.int(3, 8) }, () => random.pick(WORDS)).join(' OR ')} OR "${random.pick(['sound level', 'listening effort', 'primary school'])}" OR speech NEAR/${random.int(2, 6)} ${random.pick(WORDS)})`
const lines: LineLike[] = []
for (let n = 0; n < 150; n++) {
  const refs = (): number[] => Array.from({ length: random.int(2, 4) }, () => random.int(1, n))
  const kind = n < 20 ? 'words' : random.pick(['words', 'words', 'any', 'all', 'limit'])
  lines.push({
    id: `l${n}`,
    text:
      kind === 'words'
        ? text()
        : kind === 'limit'
          ? `#${random.int(1, n)}`
          : `${kind}(${refs()
              .map((r) => `#${r}`)
              .join(', ')})`,
    limits: kind === 'limit' ? [{ kind: 'years', from: 2005, to: 2026 }] : [],
  })
}
const source = { index, options: {}, profile: PROFILES.mindmere! }
const timed = (what: () => number): [number, number] => {
  const start = performance.now()
  const hits = what()
  return [hits, performance.now() - start]
}
const sum = (cache?: RunCache, of = lines): number =>
  runStrategy(source, of, cache).reduce((n, r) => n + (r.docs?.length ?? 0), 0)
const cache: RunCache = new Map()
const [whole, first] = timed(() => sum(cache))
const [again, second] = timed(() => sum(cache))
const edited = lines.map((l, i) => (i === 30 ? { ...l, text: 'text: (noise OR hum)' } : l))
const [changed, third] = timed(() => sum(cache, edited))
const [check] = timed(() => sum(undefined, edited))
if (whole !== again || changed !== check) throw new Error('The hits differ')
console.log(
  `${SIZE} records, ${lines.length} lines, ${lines.filter((l) => l.text.startsWith('text')).length} of them words`,
)
console.log(
  `run whole ${(first / 1000).toFixed(2)} s; again unchanged ${second.toFixed(0)} ms (ratio ${(second / first).toFixed(3)}); after editing line 31 ${third.toFixed(0)} ms (ratio ${(third / first).toFixed(3)})`,
)
