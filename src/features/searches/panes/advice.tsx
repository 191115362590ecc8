'use client'
import { Fragment, useState } from 'react'
import { plural } from '@/core/base'
import { leaveRemarks, takeFixes, takeRemarkUp } from '@/core/doing'
import type { Line, Review } from '@/core/review'
import { alikeRemarks, ELEMENTS, type AlikeRemarks, type RemarkFix } from '@/core/strategy'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import type { Judgement, KeyedRemark } from '@/workers'
import { ReasonInput } from '../../shared/reason-input'
import styles from './advice.module.css'

/** Remarks that nobody has left yet. */
export const openRemarks = (
  review: Review,
  sourceId: string,
  judgement: Judgement | undefined,
): KeyedRemark[] =>
  judgement?.remarks.filter(
    (r) => !review.leftRemarks.some((l) => l.sourceId === sourceId && l.key === r.key),
  ) ?? []

/** What a librarian would remark, by the elements of the peer-review guideline; each is mended, or left with a reason. */
export function Advice({
  review,
  info,
  lines,
  judgement,
  choose,
}: {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  judgement: Judgement | undefined
  choose: (lineId: string) => void
}) {
  const { deed, doIt } = useStore()
  const { source } = info
  const open = openRemarks(review, source.id, judgement)
  const left = review.leftRemarks.filter((l) => l.sourceId === source.id)
  const tidying = open.filter((r) => r.kind === 'tidying')
  return (
    <section className="advice" aria-label="Advice">
      {!open.length && <p className="empty">No remark is open.</p>}
      {!info.standin && (
        <p className="sub">
          Its records lie outside: what only records can tell is remarked on as far as those that were brought
          in show it.
        </p>
      )}
      {ELEMENTS.map((element) => {
        const own = open.filter((r) => r.element === element && r.kind !== 'tidying')
        return own.length ? (
          <div key={element}>
            <h3>{element}</h3>
            {alikeRemarks(own).map((r) => (
              <RemarkRow key={r.first.key} alike={r} sourceId={source.id} lines={lines} choose={choose} />
            ))}
          </div>
        ) : null
      })}
      {tidying.length > 0 && (
        <details className={styles.tidying}>
          <summary>{plural(tidying.length, 'thing')} to tidy: nothing that is found would change</summary>
          {alikeRemarks(tidying).map((r) => (
            <RemarkRow key={r.first.key} alike={r} sourceId={source.id} lines={lines} choose={choose} />
          ))}
        </details>
      )}
      {left.length > 0 && (
        <div>
          <h3>Left as it is</h3>
          {left.map((l) => (
            <p key={l.id} className="sub">
              {l.message} <i className="serif">{l.reason || 'no reason given'}</i>{' '}
              <button className="plain link" onClick={() => deed(doIt(takeRemarkUp, l.id))}>
                raise it again
              </button>
            </p>
          ))}
        </div>
      )}
    </section>
  )
}

function RemarkRow({
  alike,
  sourceId,
  lines,
  choose,
}: {
  alike: AlikeRemarks<KeyedRemark>
  sourceId: string
  lines: readonly Line[]
  choose: (lineId: string) => void
}) {
  const { doIt } = useStore()
  const [leaving, setLeaving] = useState(false)
  const { first: remark, others, message } = alike
  const all = [remark, ...others]
  // Of one remark all changes are offered; of several that say the same, the best of each together.
  const choices: RemarkFix[][] = others.length
    ? [all.flatMap(({ fixes: [best] }) => best ?? [])].filter((c) => c.length)
    : remark.fixes.map((f) => [f])
  const at = lines.find((l) => l.id === remark.lineId)
  return (
    <div className="remark">
      <p>
        <b>{message}</b> <span className="sub">{remark.why}</span>
      </p>
      {leaving ? (
        <ReasonInput
          label="Why it is left"
          cancel={() => setLeaving(false)}
          take={(reason) => doIt(leaveRemarks, { sourceId, remarks: all, reason })}
        />
      ) : (
        <p className="sub">
          {choices.map((fixes) => (
            <Fragment key={fixes[0]!.label}>
              <button
                className="plain link"
                title={fixes[0]!.text}
                onClick={() => doIt(takeFixes, { sourceId, fixes })}
              >
                {fixes[0]!.label}
                {fixes.length > 1 && ` in ${fixes.length} lines`}
              </button>
              {' · '}
            </Fragment>
          ))}
          {at && (
            <>
              <button className="plain link" onClick={() => choose(at.id)}>
                go to line {lines.indexOf(at) + 1}
              </button>
              {' · '}
            </>
          )}
          <button className="plain link" onClick={() => setLeaving(true)}>
            leave it, because …
          </button>
        </p>
      )}
    </div>
  )
}
