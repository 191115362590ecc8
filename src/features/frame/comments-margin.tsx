'use client'
import { editPassage } from '@/core/doing'
import { commentsIn, dateWords, withoutComment, type Passage } from '@/core/account'
import { nameOfPerson, type PassageContent, type Review } from '@/core/review'
import { useStore } from '@/page/provider'

/** What was said of words of the section, beside it; done with, it is taken away and its words stay. */
export function CommentsMargin({ review, passages }: { review: Review; passages: readonly Passage[] }) {
  const { deed, doIt } = useStore()
  const comments = commentsIn(passages)
  if (!comments.length) return null
  const takeAway = (passage: Passage['id'], id: string): void => {
    const part = passages.find((p) => p.id === passage)
    if (!part) return
    const content = withoutComment(part.content as unknown as PassageContent, id)
    deed(doIt(editPassage, { passage, content }))
  }
  return (
    <section aria-label="Comments" className="above-3">
      <h2>Comments</h2>
      {comments.map((c) => (
        <div key={c.id} className="remark">
          <p>
            <b>{c.words}</b>{' '}
            <span className="sub">
              {nameOfPerson(review, c.by)}, {dateWords(c.at)}
            </span>
          </p>
          <p className="sub serif">“{c.quoted}”</p>
          <p className="sub">
            <button
              className="plain link"
              onClick={() =>
                document
                  .querySelector(`[data-comment-id="${CSS.escape(c.id)}"]`)
                  ?.scrollIntoView({ behavior: 'smooth', block: 'center' })
              }
            >
              go there
            </button>
            {' · '}
            <button className="plain link" onClick={() => takeAway(c.passage, c.id)}>
              done: take it away
            </button>
          </p>
        </div>
      ))}
    </section>
  )
}
