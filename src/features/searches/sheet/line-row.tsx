'use client'
import { memo, type MouseEvent } from 'react'
import { thousands, type Problem } from '@/core/base'
import { LIMIT_LETTER, limitWords, type LimitKind } from '@/core/query'
import { useSession } from '@/page/provider'
import { nameOfPerson, type Concept, type Line, type Run } from '@/core/review'
import { Strand } from '@/ui/strand'
import { QueryText } from './query-text'

interface Props {
  line: Line
  number: number
  concept: Concept | undefined
  /** The letters of all concepts that feed a line which is no single concept's. */
  letters: readonly string[]
  /** What it is for, where somebody said which line counts. */
  use: 'counts' | 'tried' | undefined
  run: Run | undefined
  /** An older run, of what the line asked before. */
  before: Run | undefined
  planned: readonly LimitKind[]
  applied: readonly LimitKind[]
  chosen: boolean
  /** Marked for joining. */
  marked: boolean
  /** Hits less those of what the line asked when it was run before. */
  change: number | undefined
  problems: readonly Problem[]
  choose: (id: string, event: MouseEvent) => void
  edit: (id: string) => void
}

const WIDEST = 100
const BAR_FULL = 5

/** Hits on a log scale: 1 is a hair, 100,000 the full width. */
const barWidth = (hits: number): number => Math.min(WIDEST, (Math.log10(1 + hits) / BAR_FULL) * WIDEST)

/** One line of the sheet; drawn again only when something of it changes, for a sheet may have hundreds. */
export const LineRow = memo(function LineRow({
  line,
  number,
  concept,
  letters,
  use,
  run,
  before,
  planned,
  applied,
  chosen,
  marked,
  change,
  problems,
  choose,
  edit,
}: Props) {
  const people = useSession((s) => s.folded.review.people)
  const there = (run ?? before)?.there
  const broken = problems.find((p) => p.severity === 'error')
  return (
    <div
      className={`sheet-row ${concept?.letter ?? ''}${chosen ? ' on' : ''}${marked ? ' marked' : ''}`}
      role="row"
      aria-selected={chosen}
      aria-label={marked ? `Line ${number}, marked for joining` : undefined}
      data-anchor={`line:${line.id}`}
      data-line={number}
      onClick={(event) => choose(line.id, event)}
      onDoubleClick={() => edit(line.id)}
    >
      <span role="cell" />
      <span role="rowheader" className="no">
        {number}
        {there && (
          <span className="there" title={`line ${there} there`}>
            {there}
          </span>
        )}
      </span>
      <span role="cell" className="one-line in-row">
        {concept ? (
          <Strand letter={concept.letter} />
        ) : (
          letters.map((l) => (
            <span key={l} className={l} style={{ width: 9, height: 17, background: 'var(--c)' }} title={l} />
          ))
        )}
      </span>
      <span role="cell" className="expr" title={line.described ?? line.text}>
        {line.described !== undefined ? (
          <span className="serif">{line.described || 'a search without text'}</span>
        ) : line.limits.length ? (
          <>
            <QueryText text={line.text} />{' '}
            <span className="sub">
              +{' '}
              {line.limits
                .map((l) => (l.kind === 'years' ? `years ${limitWords(l)}` : limitWords(l)))
                .join(' + ')}
            </span>
          </>
        ) : !line.text && (run ?? before)?.how === 'before' ? (
          <span className="serif">searched before this record was kept; what it asked is not known</span>
        ) : (
          <QueryText text={line.text} />
        )}
        {use && (
          <span className="line-use"> {use === 'counts' ? 'this is what was found' : 'tried, not used'}</span>
        )}
        {line.note && <span className="sub serif"> — {line.note}</span>}
      </span>
      <span role="cell" className="limits">
        {(line.limits.length || number === 0 ? planned : []).map((kind) => (
          <span
            key={kind}
            className={`limit-mark${applied.includes(kind) ? ' set' : ''}`}
            title={`${kind}: ${applied.includes(kind) ? 'applied' : 'planned, not applied here'}`}
          >
            {LIMIT_LETTER[kind]}
          </span>
        ))}
      </span>
      <span
        role="cell"
        className={`hits${run ? '' : ' stale'}`}
        title={
          run
            ? `run ${run.at.slice(0, 16).replace('T', ' ')} by ${nameOfPerson({ people }, run.by)}`
            : before
              ? 'the line has changed since it was run'
              : 'not run yet'
        }
      >
        {run ? thousands(run.hits) : before ? thousands(before.hits) : ''}
      </span>
      <span role="cell">
        {change !== undefined && change !== 0 && (
          <span className="change" title="against what the line asked when it was run before">
            {change > 0 ? '+' : '−'}
            {thousands(Math.abs(change))}
          </span>
        )}
        {broken ? (
          <span className="sub marked-words" title={broken.message}>
            not run
          </span>
        ) : (
          run && <span className="bar" style={{ display: 'block', width: barWidth(run.hits) }} />
        )}
      </span>
    </div>
  )
})
