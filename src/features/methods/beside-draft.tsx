'use client'
import { sentenceChanges, withSentence, type FactContext, type Paragraph, type Passage } from '@/core/account'
import { editPassage } from '@/core/doing'
import type { PassageContent } from '@/core/review'
import { useStore } from '@/page/provider'
import { InlineTexts } from '../shared/account-text'

/** What would be drafted now beside what a person wrote: sentences of one text only are marked, and can be taken. */
export function BesideDraft({
  passage,
  draft,
  context,
}: {
  passage: Passage
  draft: readonly Paragraph[]
  context: FactContext
}) {
  const { deed, doIt } = useStore()
  const changes = sentenceChanges(context, passage.content, draft)
  const offered = changes.filter((c) => c.is === 'drafted')
  const take = (n: number): void => {
    const content = withSentence(passage.content, changes, changes[n]!) as unknown as PassageContent
    deed(doIt(editPassage, { passage: passage.id, content }))
  }
  if (!offered.length && changes.every((c) => c.is === 'same'))
    return <p className="sub">The draft reads just the same.</p>
  return (
    <div className="beside" aria-label="Beside the draft">
      {changes.map((c, n) =>
        c.is === 'same' ? null : (
          <p key={n} data-is={c.is}>
            <span className="sub">{c.is === 'mine' ? 'only in yours' : 'only in the draft'}</span>
            <span className="serif">
              <InlineTexts content={c.content} context={context} />
            </span>
            {c.is === 'drafted' && (
              <button className="plain link" onClick={() => take(n)}>
                take it
              </button>
            )}
          </p>
        ),
      )}
    </div>
  )
}
