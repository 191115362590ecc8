'use client'
import { App, Button } from 'antd'
import {
  allStrategiesText,
  currentRuns,
  joiningLine,
  recordOfSearches,
  resolved,
  resolveFact,
  type DocumentTree,
} from '@/core/account'
import { plural, thousands } from '@/core/base'
import { limitHonour } from '@/core/profile'
import { standingRuns, type Line, type Review, type Run } from '@/core/review'
import { countingLine } from '@/core/strategy'
import type { SourceInfo } from '@/standins/source-info'
import { useFactContext } from '@/store/use-account'
import { copyText } from '@/ui/copy-text'
import { fileName, saveFile } from '@/ui/save-file'
import { Strand } from '@/ui/strand'
import { LimitName, standingsOf, standingWords } from '../panes/ledger'
import { useStore } from '@/store/provider'
import { KeyHint } from '../../shared/key-hint'
import { saveWord } from '../../shared/word-files'
import { AgainAll } from '../versions/again-all'
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
  const { deed } = useStore()
  const { message } = App.useApp()
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
  const stale = infos.reduce(
    (n, i) => n + (i.searched ? linesOf(i).filter((l) => l.described === undefined && !run(i, l)).length : 0),
    0,
  )
  const elsewhere = infos.reduce(
    (n, i) => n + (i.searched ? 0 : linesOf(i).filter((l) => !run(i, l)).length),
    0,
  )
  const undrafted = infos.filter((i) => !linesOf(i).length).length
  const text = (): string => allStrategiesText(context)
  const record = (): DocumentTree =>
    resolved(recordOfSearches(context), (ref) => resolveFact(context, ref).text)
  return (
    <section className="all-sources" aria-label="All sources">
      <div className="pane-head">
        <h1>All sources</h1>
        <span className="sub" aria-live="polite">
          {runAll.at
            ? `running ${runAll.at.name}, ${runAll.at.source} of ${runAll.at.of}: line ${runAll.at.done} of ${runAll.at.lines}`
            : bringAll.at
              ? bringAll.at
              : stale
                ? `${plural(stale, 'line')} not run as ${stale === 1 ? 'it stands' : 'they stand'}; an old count is struck through`
                : elsewhere
                  ? `${plural(elsewhere, 'line is', 'lines are')} still to be run elsewhere`
                  : infos.some((i) => linesOf(i).length)
                    ? 'every line is run as it stands'
                    : 'no line is written yet'}
        </span>
        <span className="apart in-row">
          {runAll.at ? (
            <Button onClick={runAll.stop}>Stop</Button>
          ) : (
            stale > 0 && (
              <Button type={undrafted ? 'default' : 'primary'} onClick={() => runAll.start()}>
                Run every source
                <KeyHint of="run-all" />
              </Button>
            )
          )}
          {bringAll.at ? (
            <Button onClick={bringAll.stop}>Stop</Button>
          ) : (
            bringAll.searches.length > 0 &&
            !runAll.at && (
              <Button type={stale || undrafted ? 'default' : 'primary'} onClick={bringAll.start}>
                Bring the{' '}
                {plural(
                  bringAll.searches.reduce((n, { run: r }) => n + r.hits, 0),
                  'record',
                )}{' '}
                in
                <KeyHint of="bring-all" />
              </Button>
            )
          )}
          {undrafted > 0 && (
            <Button type="primary" onClick={draftAll}>
              Draft {undrafted === infos.length ? 'all' : `the other ${undrafted}`} from the plan
              <KeyHint of="draft-all" />
            </Button>
          )}
          {undrafted < infos.length && (
            <>
              <Button
                onClick={() =>
                  deed(copyText(text()).then(() => message.success('All strategies copied, line by line.')))
                }
              >
                Copy all, line by line
              </Button>
              <Button
                onClick={() => saveFile(fileName(review.title, 'strategies.txt'), text(), 'text/plain')}
              >
                Save as text
              </Button>
            </>
          )}
          {context.figures.searched.length > 0 && (
            <Button onClick={() => deed(saveWord(fileName(review.title, 'searches.docx'), record()))}>
              Save the record of searches
            </Button>
          )}
        </span>
      </div>
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
