'use client'
import { useState } from 'react'
import { aboutWords, dateWords, outcomeWords } from '@/core/account'
import { thousands } from '@/core/base'
import { nameOfPerson, settlingOf, type CommandOf, type Review, type SearchComment } from '@/core/review'
import { useSession, useStore } from '@/store/provider'
import { useLeadTo } from '@/store/use-lead-to'
import { ReasonInput } from '../reason-input'
import './search-review.css'

/**
 * What somebody said of a line: with the line as it read then, what they propose, and what was done with it. Whoever said
 * it may withdraw it; anybody else acts on it, or declines it with a reason.
 */
export function CommentRow({ review, comment }: { review: Review; comment: SearchComment }) {
  const { act, deed } = useStore()
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
            onClick={() => deed(act('searchreview.withdraw', { reader, id: comment.id }))}
          >
            withdraw it
          </button>
        ) : (
          <Settle review={review} comment={comment} />
        )}
      </p>
    </div>
  )
}

function Settle({ review, comment }: { review: Review; comment: SearchComment }) {
  const { actAll, deed } = useStore()
  const [how, setHow] = useState<'taken' | 'declined'>()
  const { reader, id, at, sourceId, lineId, proposal } = comment
  const line = review.strategies[sourceId]?.find((l) => l.id === lineId)
  const settled = settlingOf(review, comment)
  const settle = (as: 'taken' | 'declined', reason: string, more: CommandOf<'line.change'>[] = []): void => {
    deed(actAll([...more, { kind: 'searchreview.settle', payload: { reader, id, said: at, as, reason } }]))
    setHow(undefined)
  }
  if (how)
    return (
      <ReasonInput
        label={how === 'taken' ? 'What was done' : 'Why it is declined'}
        placeholder={how === 'taken' ? 'what was done' : 'declined, because …'}
        cancel={() => setHow(undefined)}
        take={(reason) => reason && settle(how, reason)}
      />
    )
  if (settled)
    return (
      <button className="plain link" onClick={() => setHow(settled.as === 'taken' ? 'declined' : 'taken')}>
        {settled.as === 'taken' ? 'decline it after all' : 'act on it after all'}
      </button>
    )
  return (
    <>
      {proposal && line && line.described === undefined && (
        <>
          <button
            className="plain link"
            onClick={() =>
              settle('taken', 'the line was changed as proposed', [
                { kind: 'line.change', payload: { sourceId, id: line.id, text: proposal.text } },
              ])
            }
          >
            put it in the line
          </button>
          {' · '}
        </>
      )}
      <button className="plain link" onClick={() => setHow('taken')}>
        acted on: …
      </button>
      {' · '}
      <button className="plain link" onClick={() => setHow('declined')}>
        decline it, because …
      </button>
    </>
  )
}
