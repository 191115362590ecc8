'use client'
import { useState } from 'react'
import { sayOnePerson } from '@/core/doing'
import { nameOfPerson } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { ChooseDialog } from '../../shared/choose-dialog'
import type { Selected } from '../use-selected'

/** Who works on the review here, and which of those who read are one person. */
export function Who({ selected: { review } }: { selected: Selected }) {
  const { doIt, deed, askWho } = useStore()
  const person = useSession((s) => s.person)
  const reader = useSession((s) => s.reader)
  const { broad, close } = useSession((s) => s.told.figures.readers)
  const [asked, setAsked] = useState(false)
  const all = [...new Set([...broad, ...close])]
  const pairs = all.flatMap((a, n) => all.slice(n + 1).map((b) => [a, b] as const))
  const others = review.people.some((p) => p.id !== person)
  return (
    <p className="sub">
      {reader ? `You are ${reader} here. ` : ''}
      {others && (
        <button className="plain link" onClick={askWho}>
          {reader ? 'I am somebody else' : 'Say who you are'}
        </button>
      )}{' '}
      {pairs.length > 0 && (
        <button className="plain link" onClick={() => setAsked(true)}>
          Two of the readers are one person
        </button>
      )}
      <ChooseDialog
        open={asked}
        title="Which two are one person?"
        choices={pairs.map(([a, b]) => ({
          words: `${nameOfPerson(review, a)} and ${nameOfPerson(review, b)}`,
          take: () => deed(doIt(sayOnePerson, { a, b, why: 'one person in two browsers' })),
        }))}
        close={() => setAsked(false)}
      >
        <p className="sub">
          What both ruled is told as ruled by one then; of two rulings of one work the later counts. Undo
          takes it back.
        </p>
      </ChooseDialog>
    </p>
  )
}
