'use client'
import { currentRuns, joiningLine } from '@/core/account'
import { thousands } from '@/core/base'
import { limitHonour } from '@/core/profile'
import { standingRuns, type Line, type Review, type Run } from '@/core/review'
import { countingLine } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { useFactContext } from '@/page/use-account'
import { Strand } from '@/ui/strand'
import { LimitName, standingsOf, standingWords } from '../panes/ledger'
import { AgainAll } from '../versions/again-all'
import { AllSourcesHead } from './all-sources-head'
import type { BringAll } from './use-bring-all'
import type { RunAll } from './use-run-all'

/** The sheets side by side: what each concept finds in each source, how each limit stands, and the totals. */
export function AllSources({
  review,
  infos,
  open,
  draftAll,
  runAll,
  bringAll,
}: {
  review: Review
  infos: readonly SourceInfo[]
  open: (sourceId: string) => void
  draftAll: () => void
  runAll: RunAll
  bringAll: BringAll
}) {
  const context = useFactContext()
  const counting = (info: SourceInfo): Line | undefined => countingLine(review, info.source.id)
  const linesOf = (info: SourceInfo): readonly Line[] => review.strategies[info.source.id] ?? []
  const run = (info: SourceInfo, line: Line | undefined): Run | undefined =>
    line && currentRuns(review, info.source.id).get(line.id)
  const hits = (info: SourceInfo, line: Line | undefined): React.ReactNode => {
    const found = run(info, line)
    if (found) return thousands(found.hits)
    const old = line && standingRuns(review.runs).findLast((r) => r.lineId === line.id)
    if (old)
      return (
        <s className="sub" title="counted before the line was changed">
          {thousands(old.hits)}
        </s>
      )
    return line ? <span className="sub">not run</span> : ''
  }
  const cap = (info: SourceInfo, found: Run | undefined): string => {
    const caps = info.profile?.caps
    const most = caps?.exported ?? caps?.shown
    return found && most !== undefined && found.hits > most ? `only ${thousands(most)} can be had` : ''
  }
  const total = infos.reduce((n, info) => n + (run(info, counting(info))?.hits ?? 0), 0)
  return (
    <section className="all-sources" aria-label="All sources">
      <AllSourcesHead {...{ review, infos, context, draftAll, runAll, bringAll }} />
      <table>
        <thead>
          <tr>
            <th scope="col" />
            {infos.map((i) => (
              <th key={i.source.id} scope="col" className="number">
                <button className="plain link" onClick={() => open(i.source.id)}>
                  {i.short}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {review.concepts.map((c) => (
            <tr key={c.id}>
              <th scope="row">
                <Strand letter={c.letter} /> {c.name}
              </th>
              {infos.map((i) => (
                <td key={i.source.id} className="number">
                  {hits(
                    i,
                    linesOf(i).findLast((l) => l.conceptId === c.id),
                  )}
                </td>
              ))}
            </tr>
          ))}
          <tr className="sum">
            <th scope="row">Concepts joined</th>
            {infos.map((i) => (
              <td key={i.source.id} className="number">
                {hits(i, joiningLine(linesOf(i)))}
              </td>
            ))}
          </tr>
          {review.limits.map((planned) => (
            <tr key={planned.id}>
              <th scope="row">
                <LimitName limit={planned.limit} />
              </th>
              {infos.map((i) => {
                const standing = standingsOf(review, i).find((s) => s.planned.id === planned.id)?.standing
                if (!standing) return <td key={i.source.id} />
                const honour = i.profile ? limitHonour(planned.limit.kind, i.profile).how : ''
                const wants = ['lost', 'other', 'forgotten'].includes(standing.state)
                return (
                  <td key={i.source.id} className={`number standing${wants ? ' warn' : ' sub'}`}>
                    {standingWords(standing, honour)}
                  </td>
                )
              })}
            </tr>
          ))}
          <tr className="sum">
            <th scope="row">
              Last line <span className="sub">together {thousands(total)}</span>
            </th>
            {infos.map((i) => (
              <td key={i.source.id} className="number">
                <b>{hits(i, counting(i))}</b>
                <span className="sub warn">{cap(i, run(i, counting(i)))}</span>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <AgainAll review={review} infos={infos} open={open} runAll={runAll.start} />
    </section>
  )
}
