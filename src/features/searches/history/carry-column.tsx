'use client'
import { Select } from 'antd'
import { listed } from '@/core/base'
import { limitWords } from '@/core/query'
import type { Review } from '@/core/review'
import { isLikely } from '@/core/vocabulary'
import type { SourceInfo } from '@/standins/source-info'
import type { Match } from '@/workers'
import { QueryText } from '../sheet/query-text'
import type { CarriedTo } from './carry-dialog'

/** A strategy as it will stand in one source: what is to be settled, each line and how it is sent, and what is lost there. */
export function CarryColumn({
  review,
  one: { to, carried, settled, asked, matches, sent },
  several,
  headed,
  settle,
}: {
  review: Review
  one: CarriedTo
  /** Others stand beside it. */
  several: boolean
  /** The strategy has headings. */
  headed: boolean
  settle: (label: string, values: readonly string[] | undefined) => void
}) {
  const losses = [...new Set(sent.flatMap((s) => s?.losses.map((l) => `${l.why} (${l.direction})`) ?? []))]
  return (
    <section aria-label={`As it will stand in ${to.short}`}>
      {several && <h2>{to.short}</h2>}
      {!to.vocabulary && headed && (
        <p className="sub">
          It has no vocabulary: headings are asked for as words in title, abstract and keywords.
        </p>
      )}
      {asked.length > 0 && (
        <>
          <h3>Headings without a certain counterpart</h3>
          {asked.map((label) => (
            <div key={label} className="carry-row">
              <span>{label}</span>
              <Select
                mode="multiple"
                optionFilterProp="label"
                size="small"
                aria-label={`${label} becomes${several ? `, in ${to.short}` : ''}`}
                placeholder="choose, or leave it out"
                value={[...(settled[label] ?? [])]}
                options={options(matches[label] ?? [], review, to)}
                onChange={(values: string[]) => settle(label, values.length ? values : undefined)}
              />
              <button className="plain link sub" onClick={() => settle(label, [])}>
                {settled[label]?.length === 0 ? 'left out' : 'leave it out'}
              </button>
            </div>
          ))}
        </>
      )}
      <h3>As it will stand</h3>
      {carried.lines.map((l, i) => (
        <div key={l.id} className="version-row">
          <span className="sub number">{i + 1}</span>
          <span>
            <QueryText text={l.text} />
            {l.limits.length > 0 && <span className="sub"> + {l.limits.map(limitWords).join(' + ')}</span>}
            {sent[i] && sent[i].text !== l.text && <span className="mono carry-sent">{sent[i].text}</span>}
          </span>
        </div>
      ))}
      {losses.length > 0 && (
        <p className="note">
          <b>Said otherwise there:</b> {losses.join('; ')}.
        </p>
      )}
      {carried.lostLimits.length > 0 && (
        <p className="note">
          <b>Not to be had there:</b> {listed([...new Set(carried.lostLimits.map((l) => l.limit.kind))])}. The
          lines stand without.
        </p>
      )}
    </section>
  )
}

function options(
  matches: readonly Match[],
  review: Review,
  to: SourceInfo,
): { value: string; label: string }[] {
  const planned = review.terms
    .filter((t) => t.sourceId === to.source.id && t.kind === 'heading' && t.status === 'in use')
    .map((t) => t.expression)
  // Records that carry both are about the same question, whether or not the headings mean the same.
  const found = new Map(matches.map((m) => [m.label, isLikely(m.reasons) ? 'likely' : 'look at it']))
  return [...new Set([...found.keys(), ...planned])].map((value) => ({
    value,
    label: `${value} · ${found.get(value) ?? 'in your grid'}`,
  }))
}
