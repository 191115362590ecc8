// Selection at size: 40,000 rulings by two readers over 20,000 works, and an order learnt anew over 10,000.
import { held, hold, withHeld } from '../src/core/base'
import { tell, tellOn, type Told } from '../src/core/figures'
import { emptyRecord } from '../src/core/records'
import { emptyReview, worksOf, type Review, type Ruling } from '../src/core/review'
import { fitLikely, layTerms, likelyFirst, surenessOf } from '../src/core/selection'
import { at } from './browser'

const WORKS = 20_000
const VERDICTS = ['in', 'out', 'out', 'unsure'] as const
const ruling = (n: number, reader: string, verdict: Ruling['verdict']): Ruling => ({
  recordId: `i/${n + 1}`,
  pass: 'broad',
  reader,
  verdict,
})

function rulings(): void {
  const records = Array.from({ length: WORKS }, (_, n) => emptyRecord(`r${n}`, `Title ${n} on sound`))
  const base: Review = {
    ...emptyReview('r'),
    imports: [{ id: 'i', sourceId: 's', count: WORKS, digest: 'd', at: '' }],
    partition: { rules: 1, imports: ['i'], digest: 'c' },
  }
  const works = worksOf(
    base,
    () => records,
    () => records.map((_, n) => n),
  )
  const all: Review['rulings'] = {}
  for (let n = 0; n < WORKS; n++)
    hold(all, `i/${n + 1}`, {
      'broad/p': ruling(n, 'p', VERDICTS[n % 4]!),
      'broad/q': ruling(n, 'q', VERDICTS[(n * 7) % 4]!),
    })
  let start = performance.now()
  const bare = tell(base, works)
  const without = performance.now() - start
  start = performance.now()
  let told: Told = tell({ ...base, rulings: all }, works)
  console.log(
    `telling all of ${WORKS} works: ${without.toFixed(0)} ms without rulings, ${(performance.now() - start).toFixed(0)} ms with ${WORKS * 2} (${bare.figures.works} works)`,
  )
  const took: number[] = []
  for (let k = 0; k < 2000; k++) {
    const n = (k * 7919) % WORKS
    const id = `i/${n + 1}`
    const own = held(told.review.rulings, id)!
    const next: Review = {
      ...told.review,
      rulings: withHeld<Record<string, Ruling>>(told.review.rulings, [
        [id, { ...own, 'broad/p': ruling(n, 'p', VERDICTS[k % 4]!) }],
      ]),
    }
    const from = performance.now()
    told = tellOn(told, next, works)
    took.push(performance.now() - from)
  }
  console.log(
    `one ruling more: median ${at(took, 0.5).toFixed(1)} ms, 95th ${at(took, 0.95).toFixed(1)} ms, most ${at(took, 0.999).toFixed(1)} ms; the last tenth to the first ${(at(took.slice(-200), 0.5) / at(took.slice(0, 200), 0.5)).toFixed(2)}`,
  )
}

const SUBJECT =
  'noise rooms children listening reading speech ceilings panels teachers voice sound level'.split(' ')
const OTHER =
  'budget pensions turbine harvest market sailors granite orchard ledger railway canal lantern'.split(' ')

function likely(): void {
  const word = (list: readonly string[], n: number): string => list[n % list.length]!
  const texts = Array.from({ length: 10_000 }, (_, n) => [
    Array.from({ length: 90 }, (_w, k) =>
      (n * 31 + k * k) % 5 < (n % 3 ? 1 : 3)
        ? word(SUBJECT, n + k * 3)
        : `${word(OTHER, n * k)}${(n * k) % 900}`,
    ).join(' '),
  ])
  let start = performance.now()
  const rows = layTerms(texts)
  const laid = performance.now() - start
  const labels = Int8Array.from(texts, (_, n) => (n < 2000 ? Number(n % 3 === 0) : -1))
  start = performance.now()
  likelyFirst(rows, fitLikely(rows, labels))
  const fit = performance.now() - start
  start = performance.now()
  const sure = surenessOf(rows, labels)
  console.log(
    `10,000 works, ${rows.terms} terms: laid out in ${laid.toFixed(0)} ms once, order learnt from 2,000 rulings in ${fit.toFixed(0)} ms, how sure (${sure?.of.toFixed(2)}) in ${(performance.now() - start).toFixed(0)} ms`,
  )
}

rulings()
likely()
