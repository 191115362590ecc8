'use client'
import { Button, Select } from 'antd'
import { useState } from 'react'
import { answerElement, answeredWords, finishSearchReview } from '@/core/doing'
import { dateWords, elementWords, lookWords, outcomeWords, VERDICT_WORDS } from '@/core/account'
import {
  nameOfPerson,
  REVIEWED,
  searchReviews,
  standingRuns,
  unansweredOf,
  type Review,
  type Reviewed,
  type SearchAnswer,
  type SearchReview,
} from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import { useSession, useStore } from '@/page/provider'
import { KeyHint } from '../shared/key-hint'
import { CommentRow } from '../shared/search-review/comment-row'
import { SettlePoint } from '../shared/search-review/settle-point'
import { useSideFiles } from '../shared/side-files/use-side-files'

const VERDICTS = (['none', 'suggested', 'required'] as const).map((value) => ({
  value,
  label: VERDICT_WORDS[value],
}))

/** The searches looked over by somebody else: the six elements answered, comments on lines, and what was done with them. */
export function SearchReviewPane({ review }: { review: Review }) {
  const person = useSession((s) => s.person)
  const files = useSideFiles('search review')
  const actions: Action[] = [
    { id: 'search-review-give', label: 'Save my review as a file', key: 'F', strip: true, run: files.give },
    { id: 'search-review-take', label: 'Take a review file in', key: 'A', strip: true, run: files.take },
  ]
  useActions('pane', 'search review', actions)
  const others = searchReviews(review).filter((r) => r.reader !== person)
  const own = searchReviews(review).find((r) => r.reader === person)
  return (
    <div className="page" id="searchreview" data-anchor="searchreview">
      <div className="page-head">
        <h1>Search review</h1>
        <span className="hand-out">
          {actions.map((a) => (
            <button key={a.id} className="plain link" onClick={a.run}>
              {a.label}
              <KeyHint of={a} />
            </button>
          ))}
          {files.input}
        </span>
      </div>
      <p className="serif">
        Let a librarian or a colleague look over the searches. They open this review’s package in their own
        Luvren, answer the six elements of PRESS 2015 here, comment on lines under Advice in Searches, and
        send their file back, as often as they like.
      </p>
      {others.map((r) => (
        <Theirs key={r.reader} review={review} said={r} />
      ))}
      <Own review={review} said={own} person={person} />
    </div>
  )
}

function Theirs({ review, said }: { review: Review; said: SearchReview }) {
  const { reader, finished, comments, answers } = said
  const name = nameOfPerson(review, reader)
  return (
    <section aria-label={`Review by ${name}`}>
      <h2>
        {name}{' '}
        <span className="sub">
          {finished
            ? [finished.as, ...lookWords(review, said)].filter(Boolean).join(', ')
            : 'has not said yet that the review is finished'}
        </span>
      </h2>
      {answers.length > 0 && (
        <table className="press">
          <tbody>
            {answers.map((a) => (
              <tr key={`${a.element} ${a.at}`}>
                <th scope="row">{elementWords(a.element)}</th>
                <td>{VERDICT_WORDS[a.verdict]}</td>
                <td>
                  <span className="serif">{a.words}</span>
                  {a.verdict !== 'none' && (
                    <p className="sub">
                      <b>{outcomeWords(review, a)}</b> <SettlePoint review={review} point={a} />
                    </p>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {comments.map((c) => (
        <CommentRow key={`${c.id} ${c.at}`} review={review} comment={c} />
      ))}
    </section>
  )
}

/** The six elements, to be answered by whoever sits here. */
function Own({ review, said, person }: { review: Review; said: SearchReview | undefined; person: string }) {
  const { doIt, deed, inName } = useStore()
  const head = useSession((s) => s.entries.at(-1)?.digest ?? '')
  const unanswered = unansweredOf(said ?? { answers: [] }).length
  const searched = standingRuns(review.runs).some((r) => r.by === person)
  const [shown, setShown] = useState(said !== undefined)
  const [as, setAs] = useState(said?.finished?.as ?? '')
  const answer = (element: Reviewed, part: Partial<SearchAnswer>): void => {
    const before = said?.answers.find((a) => a.element === element)
    inName(() => deed(doIt(answerElement, { reader: person, before, part: { ...part, element } })), 'say')
  }
  if (!shown)
    return (
      <p>
        <Button size="small" onClick={() => setShown(true)}>
          Answer the six elements yourself
        </Button>
      </p>
    )
  return (
    <section aria-label="Your own answers">
      <h2>Your own answers</h2>
      {searched && (
        <p className="sub">
          You ran searches of this review yourself: the section will not call your answers a review by another
          person.
        </p>
      )}
      <table className="press">
        <tbody>
          {REVIEWED.map((element) => {
            const kept = said?.answers.find((a) => a.element === element)
            return (
              <tr key={element}>
                <th scope="row">{elementWords(element)}</th>
                <td>
                  <Select
                    size="small"
                    variant="borderless"
                    className="wide-4"
                    aria-label={`Finding: ${elementWords(element)}`}
                    placeholder="not answered"
                    value={kept?.verdict ?? null}
                    options={VERDICTS}
                    onChange={(verdict: SearchAnswer['verdict']) => answer(element, { verdict })}
                  />
                </td>
                <td>
                  <input
                    key={kept?.words}
                    className="line-input serif"
                    aria-label={`In your words: ${elementWords(element)}`}
                    placeholder={kept ? 'in your words' : ''}
                    disabled={!kept}
                    defaultValue={kept?.words}
                    onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
                    onBlur={(e) => {
                      const words = e.currentTarget.value.trim()
                      if (kept && words !== kept.words) answer(element, { words })
                    }}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {said?.comments.map((c) => (
        <CommentRow key={`${c.id} ${c.at}`} review={review} comment={c} />
      ))}
      <p className="in-row on-line above-3">
        <input
          className="line-input serif wide-7"
          aria-label="As what you review"
          placeholder="as what you look at it: subject librarian, co-author"

          value={as}
          onChange={(e) => setAs(e.target.value)}
        />
        <Button
          size="small"
          disabled={unanswered > 0}
          onClick={() => inName(() => deed(doIt(finishSearchReview, { as, head })), 'say')}
        >
          {said?.finished ? 'Finished again, today' : 'My review is finished'}
        </Button>
        {unanswered > 0 && <span className="sub">{answeredWords(unanswered)}</span>}
        {said?.finished && <span className="sub">finished on {dateWords(said.finished.at)}</span>}
      </p>
    </section>
  )
}
