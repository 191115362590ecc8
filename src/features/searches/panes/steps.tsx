'use client'
import { putStrategy } from '@/core/doing'
import { App } from 'antd'
import { useMemo } from 'react'
import { plural, thousands } from '@/core/base'
import type { Line, Review } from '@/core/review'
import { chosenLine, type Advised, type CountedStep, type Offered } from '@/core/strategy'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { Working } from '@/ui/working'
import { judgeDesk, planOf, wordDesk } from '@/workers'
import { conceptTerms } from '../../shared/plan-text'
import { useJudged, useWork } from './use-judgement'

/** What could be tried next where there are too many or too few, each step with the count that it would give. */
export function Steps({ review, info, lines }: { review: Review; info: SourceInfo; lines: readonly Line[] }) {
  const { value, work } = useAdvised(review, info, lines)
  if (!info.searched)
    return (
      <p className="sub">
        What a change would bring can only be counted where the records are searched: copy the changed line,
        run it there and log what came back; the change is shown beside the hits.
      </p>
    )
  if (!value || value.lines !== lines) return <Working words="Trying what could be done" work={work} />
  const { now, fewer, more } = value.advised
  if (!now)
    return <p className="empty">The last line cannot be run: mend it first, then steps are counted.</p>
  return (
    <section className="steps" aria-label="Fewer or more">
      <h3>To try: fewer, or more</h3>
      <p className="sub">
        The line that counts finds <b>{thousands(now.hits)}</b>
        {value.wanted > 0 && `, ${now.wanted} of ${plural(value.wanted, 'wanted record')} among them`}. Each
        step by itself would leave:
      </p>
      <div className="steps-sides">
        <Side title="Fewer" steps={fewer} now={now} wanted={value.wanted} lines={lines} info={info} />
        <Side title="More" steps={more} now={now} wanted={value.wanted} lines={lines} info={info} />
      </div>
    </section>
  )
}

const SHOWN = 12

function Side({
  title,
  steps,
  now,
  wanted,
  lines,
  info,
}: {
  title: string
  steps: readonly CountedStep[]
  now: NonNullable<Advised['now']>
  wanted: number
  lines: readonly Line[]
  info: SourceInfo
}) {
  const { newId, deed, doIt } = useStore()
  const { message } = App.useApp()
  const shown = steps.slice(0, SHOWN)
  const most = Math.max(now.hits, ...shown.map((s) => s.hits))
  const take = (step: CountedStep): void => {
    deed(
      doIt(putStrategy, {
        sourceId: info.source.id,
        lines: step.lines.map((l) => asLine(l, lines, newId)),
        why: 'advice',
        from: step.label,
      }),
    )
    deed(message.success(`Done: ${step.label}. Run the lines to log it; undo takes it back.`, 5))
  }
  return (
    <div>
      <h3 className="offer-head steps-head">
        <span>{title}</span>
        <span className="number">hits</span>
        {wanted > 0 && <span className="number">wanted</span>}
      </h3>
      {!shown.length && <p className="empty">Nothing here would make a difference.</p>}
      {shown.map((s) => (
        <button key={s.label} className="plain step-row" title={s.why} onClick={() => take(s)}>
          <span>
            {s.label}
            {/* Said once: several steps of one kind have one reason. */}
            {shown.find((x) => x.code === s.code) === s && <span className="sub">{s.why}</span>}
          </span>
          <span className="number">
            <b>{thousands(s.hits)}</b>
            <span className="step-bar" style={{ width: barOf(s.hits, most) }} />
          </span>
          {wanted > 0 && (
            <span className={`number${s.wanted < now.wanted ? ' warn' : ''}`}>
              {s.wanted === now.wanted
                ? '='
                : `${s.wanted > now.wanted ? '+' : '−'}${Math.abs(s.wanted - now.wanted)}`}
            </span>
          )}
        </button>
      ))}
      {steps.length > SHOWN && <p className="sub">and {steps.length - SHOWN} more of less effect.</p>}
    </div>
  )
}

/** Hits beside the most of the list, or those of the strategy as it stands if that has more. */
const barOf = (hits: number, most: number): string => `${(hits / Math.max(1, most)) * 100}%`

/** A line of a step as a line of the review: what there was stays what it is; what is new gets an id of its own. */
function asLine(
  { id, text, limits, conceptId }: CountedStep['lines'][number],
  before: readonly Line[],
  newId: () => string,
): Line {
  const known = before.find((l) => l.id === id)
  return {
    note: '',
    ...known,
    id: known ? id : newId(),
    text,
    limits: [...limits],
    drafted: known !== undefined && known.drafted && known.text === text,
    ...(conceptId ? { conceptId } : {}),
  }
}

interface Found {
  lines: readonly Line[]
  advised: Advised
  wanted: number
}

function useAdvised(review: Review, info: SourceInfo, lines: readonly Line[]) {
  const judged = useJudged(review, info)
  const { searched, standin, source } = info
  const { concepts, alternatives, terms, limits } = review
  const countingId = chosenLine(review, source.id)?.id
  const job = useMemo(() => {
    if (!searched || !standin || !lines.length) return undefined
    return async (goOn: (done: number, of: number) => boolean): Promise<Found | undefined> => {
      const plan = planOf({ concepts, alternatives, terms, limits })
      const known = await judged()
      const good = [...new Set([...known.known.map((k) => k.recordId), ...known.in])]
      const offers = good.length ? await harvested(review, info, standin.id, good) : []
      const advised = await judgeDesk().advise(
        { key: searched, sourceId: source.id, lines: [...lines], countingId, plan, judged: known },
        offers,
        goOn,
      )
      return advised && { lines, advised, wanted: good.length }
    }
    // What else of the review changes does not change the steps.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [searched, standin, source.id, lines, countingId, concepts, alternatives, terms, limits, judged])
  return useWork(job)
}

const MOST_OFFERS = 12

/** The best of what good records say and the plan does not. */
async function harvested(review: Review, info: SourceInfo, id: string, good: string[]): Promise<Offered[]> {
  const { offers } = await wordDesk().harvest({ [id]: good }, conceptTerms(review, [info]))
  return offers
    .flatMap((o): Offered[] =>
      o.conceptId
        ? [{ conceptId: o.conceptId, kind: o.kind === 'heading' ? 'heading' : 'text', text: o.text }]
        : [],
    )
    .slice(0, MOST_OFFERS)
}
