'use client'
import { useMemo } from 'react'
import { holdsNothing, inWords, plural, thousands, wilson } from '@/core/base'

import type { Ruling } from '@/core/review'
import { chapman, chapmanWarnings, stoppingCurve, type StoppingPoint } from '@/core/selection'
import { sourceInfo } from '@/standins/source-info'
import { useSession } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { Chart } from '@/ui/chart/chart'
import { recordsDesk } from '@/workers'
import { learnable } from '../pass/use-order'
import type { Selected } from '../use-selected'
import { isKept } from './kept'
import { Needed } from './needed'

/** What the numbers say about what was not found, each with what it does not say. */
export function MissingPane({ selected }: { selected: Selected }) {
  const { review, works, placed, ruled } = selected
  const known = useSession((s) => s.told.figures.knownFound)
  const entries = useSession((s) => s.entries)
  const kept = useMemo(() => works.filter(({ id }) => isKept(placed(id).place)), [works, placed])
  const curve = useMemo(() => {
    const order = new Map<string, number>()
    for (const { seq, kind, payload } of entries) {
      if (kind !== 'ruling.set') continue
      const { recordId, pass } = payload as Ruling
      if (pass === 'broad' && !order.has(recordId)) order.set(recordId, seq)
    }
    const read = works
      .flatMap((w) => {
        const seqs = w.records.flatMap((id) => order.get(id) ?? [])
        const { verdict, unread } = placed(w.id).broad
        return seqs.length && verdict !== 'left' && !unread
          ? [{ at: Math.min(...seqs), in: verdict === 'in' }]
          : []
      })
      .sort((a, b) => a.at - b.at)
    return stoppingCurve(read.map((r) => r.in))
  }, [entries, works, placed])
  const databases = review.sources.filter(
    (s) => s.kind === 'database' && works.some((w) => w.sources.includes(s.id)),
  )
  const name = (id: string): string => {
    const source = review.sources.find((s) => s.id === id)
    return source ? sourceInfo(review, source).short : 'a source'
  }
  const total = review.knownItems.length
  const recall = total ? wilson(known, total) : undefined
  const pairs = databases
    .flatMap((a, n) => databases.slice(n + 1).map((b) => [a.id, b.id] as const))
    .map(([a, b]) => {
      const [inA, inB] = [
        kept.filter((w) => w.sources.includes(a)),
        kept.filter((w) => w.sources.includes(b)),
      ]
      const both = inA.filter((w) => w.sources.includes(b)).length
      return { a, b, first: inA.length, second: inB.length, both }
    })
    .filter((p) => p.first && p.second)
    .sort((x, y) => y.both - x.both)
    .slice(0, 4)
  if (holdsNothing(ruled.byWork))
    return (
      <p className="empty">
        Once works have been ruled, this will stand here: how many known items were found, how many works were
        read for one that is in, how many two sources that share works may both have missed, and how fast more
        are found.
      </p>
    )
  const percent = (n: number): string => `${Math.round(n * 100)} %`
  return (
    <div className="missing">
      <section>
        <h2>Known items</h2>
        {recall ? (
          <p>
            Of {inWords(total)} known {total === 1 ? 'item' : 'items'}, {inWords(known)}{' '}
            {known === 1 ? 'was' : 'were'} found: {percent(recall.value)} (95 % interval{' '}
            {percent(recall.from)} to {percent(recall.to)}, Wilson).
          </p>
        ) : (
          <p>No known items were named.</p>
        )}
        <p className="sub">
          It does not say what the search misses of works that nobody knew: known items are seldom a sample of
          them.
        </p>
      </section>
      <Needed selected={selected} />
      <section>
        <h2>From what two sources share</h2>
        {pairs.length ? (
          <ul>
            {pairs.map(({ a, b, first, second, both }) => {
              const { total: all, interval } = chapman(first, second, both)
              const warnings = chapmanWarnings(first, second, both)
              return (
                <li key={`${a} ${b}`}>
                  {name(a)} ({first}) and {name(b)} ({second}) share {both}: about <b>{Math.round(all)}</b> (
                  {Math.round(interval[0])}–{Math.round(interval[1])}) works that would be in; {kept.length}{' '}
                  are.
                  {warnings.includes('few in common') && ' Too few in common to say much.'}
                  {warnings.includes('one holds the other') &&
                    ' One holds all of the other: too low for certain.'}
                </li>
              )
            })}
          </ul>
        ) : (
          <p>Two databases with works that are in are needed.</p>
        )}
        <p className="sub">
          Capture and recapture (Chapman 1951). It holds only if the sources find works independently of each
          other, which they seldom do; then the true number is higher.
        </p>
      </section>
      <section>
        <h2>Found over read</h2>
        <Curve points={curve} />
        <p className="sub">
          Works kept over works read, in the order in which they were first ruled. Where the line goes flat,
          little is left if what was read last is like what is unread; after reading what is likely first it
          is not.
        </p>
        <Expected selected={selected} />
      </section>
    </div>
  )
}

/** What the order of what is likely in expects of the works that nobody has ruled. */
function Expected({ selected }: { selected: Selected }) {
  const said = useMemo(() => learnable(selected), [selected])
  const unread = selected.works.length - Object.keys(said).length
  const { value } = useAsked(
    async () => (unread ? { left: await recordsDesk().expectedLeft(said) } : undefined),
    [said, unread],
    { keep: true },
  )
  if (!unread) return null
  return (
    <>
      <p>
        {value?.left === undefined
          ? 'What is still to be expected cannot be told: it takes at least five works that are in and five that are out.'
          : `Of ${plural(unread, 'work')} without a ruling, about ${thousands(Math.round(value.left))} would be in, by what was ruled in and out so far.`}
      </p>
      <p className="sub">
        Reckoned from the words of the works (logistic regression on tf-idf, tried on rulings that it had not
        seen). It supposes that unread works are ruled in as often as read ones with like words were; it knows
        nothing of works that no search has found.
      </p>
    </>
  )
}

/** So many points are drawn at most: between two of them nothing is hidden but single works. */
const POINTS = 200

function Curve({ points }: { points: readonly StoppingPoint[] }) {
  const last = points.at(-1)!
  if (!last.read) return <p>Nothing was read yet.</p>
  const step = Math.ceil(points.length / POINTS)
  const shown = points.filter((p, i) => i % step === 0 || p === last)
  return (
    <Chart
      kind="line"
      label={`${thousands(last.found)} in of ${thousands(last.read)} read, in the order of reading`}
      points={{ name: 'works read', of: shown.map((p) => p.read) }}
      counted="in"
      series={[{ name: 'in', values: shown.map((p) => p.found) }]}
    />
  )
}
