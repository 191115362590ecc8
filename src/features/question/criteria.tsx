'use client'
import { Button } from 'antd'
import type { Criterion, Review } from '@/core/review'
import { act, newId } from '@/store/session'
import { useStaged } from '@/store/use-staged'
import { TextLine } from '@/ui/text-line'

/** Criteria as questions that are asked of each record. */
export function CriteriaPlan({ review }: { review: Review }) {
  return (
    <section aria-labelledby="criteria-head" style={{ marginTop: 20 }}>
      <h2 id="criteria-head">Criteria, asked of each record</h2>
      {review.criteria.map((c, i) => (
        <CriterionRow key={c.id} criterion={c} number={i + 1} />
      ))}
      {!review.criteria.length && (
        <p className="empty">
          Questions that can be answered with yes or no from a title and an abstract: they stand beside each
          record in Selection.
        </p>
      )}
      <Button
        size="small"
        style={{ marginTop: 8 }}
        onClick={() => void act('criterion.set', { id: newId(), text: '', pass: 'broad', sense: 'in' })}
      >
        Ask a question
      </Button>
    </section>
  )
}

function CriterionRow({ criterion, number }: { criterion: Criterion; number: number }) {
  const text = useStaged(`criterion-${criterion.id}`, criterion.text, (value) => ({
    kind: 'criterion.set',
    payload: { ...criterion, text: value },
  }))
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: '14px minmax(0, 1fr) 96px 20px',
        gap: 8,
        fontSize: 13.5,
        padding: '2px 0',
      }}
    >
      <span className="sub">{number}</span>
      <TextLine
        aria-label={`Criterion ${number}`}
        placeholder="Was … measured in …?"
        autoFocus={!criterion.text}
        {...text}
      />
      <button
        className="plain link sub"
        title="When is it asked, and does a yes mean in or out?"
        onClick={() => {
          const next = (
            {
              'broad in': ['broad', 'out'],
              'broad out': ['close', 'in'],
              'close in': ['close', 'out'],
              'close out': ['broad', 'in'],
            } as const
          )[`${criterion.pass} ${criterion.sense}`]
          void act('criterion.set', { ...criterion, pass: next[0], sense: next[1] })
        }}
      >
        {criterion.pass}, yes is {criterion.sense}
      </button>
      <button
        className="plain remove"
        aria-label={`Remove criterion ${number}`}
        onClick={() => void act('criterion.remove', { id: criterion.id })}
      >
        ×
      </button>
    </div>
  )
}
