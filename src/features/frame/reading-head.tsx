'use client'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import { nameOfPerson } from '@/core/review'
import { useSession } from '@/page/provider'

const OF = { broad: 'titles and abstracts', close: 'full texts' } as const

/** In the place of the course, in a copy for reading: who asks for what, and until when. */
export function ReadingHead() {
  const review = useSession((s) => s.folded.review)
  return (
    <div className="reading-head">
      <b>{review.title || 'Review without a title'}</b>
      {(review.asked ?? []).map((a) => (
        <span key={a.id} className="sub">
          {nameOfPerson(review, a.by)} asks you to read the {OF[a.pass]} of {plural(a.records.length, 'work')}
          {a.called ? ` (${a.called})` : ''}
          {a.until ? `, until ${dateWords(a.until)}` : ''}
          {a.blinded ? ', without seeing what others ruled' : ''}.
        </span>
      ))}
    </div>
  )
}
