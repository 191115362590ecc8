import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { thousands } from '@/core/base'
import { print, parse } from '@/core/query'
import { termsInUse, type Review } from '@/core/review'
import { numberNeededToRead } from '@/core/selection'
import { sourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { recordsDesk, searchDesk } from '@/workers'
import type { Selected } from '../use-selected'
import { isKept } from './kept'

interface Row {
  id: string
  name: string
  read: number
  kept: number
}

/** How many works are read for one that is kept: by source, and where it is asked for by line and by term. */
export function Needed({ selected }: { selected: Selected }) {
  const { review, works, placed } = selected
  const [by, setBy] = useState<'source' | 'line' | 'term'>('source')
  const told = useMemo(
    () => ({
      read: new Set(works.filter((w) => placed(w.id).broad.verdict !== 'left').map((w) => w.id)),
      kept: new Set(works.filter((w) => isKept(placed(w.id).place)).map((w) => w.id)),
    }),
    [works, placed],
  )
  const { value: found, failed } = useAsked(
    () =>
      by === 'term' ? foundByTerms(review) : by === 'line' ? foundByLines(review) : foundBySources(selected),
    [by, review, selected],
    { keep: false },
  )
  const rows = found
    ?.map(({ id, name, works: ids }): Row => ({
      id,
      name,
      read: ids.filter((w) => told.read.has(w)).length,
      kept: ids.filter((w) => told.kept.has(w)).length,
    }))
    .filter((r) => r.read)
  return (
    <section>
      <h2>Read for one that is in</h2>
      <p className="needed-by">
        {(['source', 'line', 'term'] as const).map((one) => (
          <Button
            key={one}
            size="small"
            type={one === by ? 'primary' : 'text'}
            aria-pressed={one === by}
            onClick={() => setBy(one)}
          >
            by {one}
          </Button>
        ))}
      </p>
      {rows ? <Table rows={rows} /> : <p className="empty">{failed ?? 'Counting …'}</p>}
      <p className="sub">
        {by === 'source' &&
          'It does not say that a source with a high number could be left out: see what it alone found.'}
        {by === 'line' &&
          'Works that were brought in and read, of those that a line finds. It does not say what a line adds to the others.'}
        {by === 'term' &&
          'Works that were read and hold the word, or the heading itself. It does not say that a term with a high number could go: what it alone finds may be what nothing else does.'}
      </p>
    </section>
  )
}

function Table({ rows }: { rows: readonly Row[] }) {
  if (!rows.length) return <p>Nothing that was read was found by any of them.</p>
  return (
    <div className="needed">
      <table>
        <tbody>
          {rows.map(({ id, name, read, kept }) => {
            const needed = numberNeededToRead(read, kept)
            return (
              <tr key={id}>
                <th scope="row">{name}</th>
                <td>{needed === undefined ? '–' : needed.toFixed(1)}</td>
                <td className="sub">
                  {thousands(kept)} in of {thousands(read)} read
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

interface Found {
  id: string
  name: string
  works: readonly string[]
}

const databases = ({ sources }: Review): Review['sources'] => sources.filter((s) => s.kind === 'database')

const foundBySources = async ({ review, works }: Selected): Promise<Found[]> =>
  databases(review).map((s) => ({
    id: s.id,
    name: sourceInfo(review, s).short,
    works: works.filter((w) => w.sources.includes(s.id)).map((w) => w.id),
  }))

/** Lines of stand-ins only: what a line of a database outside finds is known there alone. */
async function foundByLines(review: Review): Promise<Found[]> {
  const lists = await Promise.all(
    databases(review).map(async (s) => {
      const { searched, short } = sourceInfo(review, s)
      const lines = review.strategies[s.id] ?? []
      if (!searched || !lines.length) return []
      const numbers = await searchDesk().numbersOf(searched, lines)
      const works = await recordsDesk().worksUnder(
        s.id,
        lines.map((l) => numbers[l.id] ?? []),
      )
      return lines.map((line, n) => {
        const { tree } = parse(line.text)
        return {
          id: line.id,
          name: `${short} ${n + 1} · ${tree ? print(tree) : line.text}`,
          works: works[n]!,
        }
      })
    }),
  )
  return lists.flat()
}

async function foundByTerms(review: Review): Promise<Found[]> {
  const rows: Found[] = []
  for (const term of termsInUse(review)) {
    const heading = term.kind === 'heading'
    if (!heading && term.kind !== 'text') continue
    rows.push({
      id: term.id,
      name: heading ? `${term.expression} (heading)` : term.expression,
      works: await recordsDesk().idsOf(
        heading ? { chosen: { heading: [term.expression] } } : { words: term.expression },
      ),
    })
  }
  const same = new Map(rows.map((r) => [r.name, r]))
  return [...same.values()].sort((a, b) => b.works.length - a.works.length)
}
