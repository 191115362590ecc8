'use client'
import { takePointBack } from '@/core/doing'
import { aboutWords, dateWords, outcomeWords } from '@/core/account'
import { thousands } from '@/core/base'
import { nameOfPerson, type Review, type SearchComment } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { useLeadTo } from '@/page/use-lead-to'
import { SettlePoint } from './settle-point'
import './search-review.css'

/**
 * What somebody said of a line: with the line as it read then, what they propose, and what was done with it. Whoever said
 * it may withdraw it; anybody else acts on it, or declines it with a reason.
 */
export function CommentRow({ review, comment }: { review: Review; comment: SearchComment }) {
  const { deed, doIt } = useStore()
  const lead = useLeadTo(review)
  const own = useSession((s) => s.person) === comment.reader
  const { text, of, proposal, reader, at, lineId, sourceId } = comment
  return (
    <div className="search-comment">
      <p>
        <button
          className="plain link"
          onClick={() =>
            lead({ stage: 'searches', anchor: lineId ? `line:${lineId}` : `source:${sourceId}` })
          }
        >
          {aboutWords(review, comment)}
        </button>{' '}
        <span className="sub">
          {nameOfPerson(review, reader)}, {dateWords(at)}
        </span>
      </p>
      <p className="serif said">{text}</p>
      {of !== undefined && <p className="mono">{of}</p>}
      {proposal && (
        <p>
          <span className="sub">better: </span>
          <ins className="mono">{proposal.text}</ins>
          {proposal.hits !== undefined && <span className="sub"> finds {thousands(proposal.hits)}</span>}
        </p>
      )}
      <p className="sub">
        <b>{outcomeWords(review, comment)}</b>{' '}
        {own ? (
          <button
            className="plain link"
            onClick={() => deed(doIt(takePointBack, { reader, id: comment.id }))}
          >
            withdraw it
          </button>
        ) : (
          <SettlePoint review={review} point={comment} />
        )}
      </p>
    </div>
  )
}
