'use client'
import type { Store } from '@/store/store'
import { Button } from 'antd'
import type { Criterion, Review } from '@/core/review'
import { useStore } from '@/store/provider'
import { useStaged } from '@/store/use-staged'
import { TextLine } from '@/ui/text-line'
import { KeyHint } from '../shared/key-hint'

export const askCriterion = (store: Store): Promise<void> =>
  store.act('criterion.set', { id: store.newId(), text: '', pass: 'broad', sense: 'in' })

/** Criteria as questions that are asked of each record. */
export function CriteriaPlan({ review }: { review: Review }) {
  const store = useStore()
  const { deed } = store
  return (
    <section aria-labelledby="criteria-head" style={{ marginTop: 20 }}>
      <h2 id="criteria-head">Criteria, asked of each record</h2>
      {review.criteria.map((c, i) => (
        <CriterionRow key={c.id} criterion={c} number={i + 1} />
      ))}
      {!review.criteria.length && (
        <p className="empty">
          Questions that can be answered with yes or no: in the broad pass from a title and an abstract, in
          the close pass from the full text. They stand beside each record in Selection.
        </p>
      )}
      <Button size="small" style={{ marginTop: 8 }} onClick={() => deed(askCriterion(store))}>
        Ask a question
        <KeyHint of="criterion-ask" />
      </Button>
    </section>
  )
}

function CriterionRow({ criterion, number }: { criterion: Criterion; number: number }) {
  const { act, deed } = useStore()
  const text = useStaged(`criterion-${criterion.id}`, criterion.text, (value) => ({
    kind: 'criterion.set',
    payload: { ...criterion, text: value },
  }))
  const short = useStaged(`criterion-${criterion.id}-short`, criterion.short ?? '', (value) => ({
    kind: 'criterion.set',
    payload: { ...withoutShort(criterion), ...(value.trim() ? { short: value.trim() } : {}) },
  }))
  const { pass, sense } = criterion
  return (
    <div className="criterion">
      <span className="sub">{number}</span>
      <TextLine
        aria-label={`Criterion ${number}`}
        placeholder="Was … measured in …?"
        autoFocus={!criterion.text}
        {...text}
      />
      <button
        className="plain link sub"
        title="Asked of title and abstract (broad pass) or of the full text (close pass)"
        onClick={() =>
          deed(act('criterion.set', { ...criterion, pass: pass === 'broad' ? 'close' : 'broad' }))
        }
      >
        {pass} pass
      </button>
      <button
        className="plain link sub"
        title="Does a yes keep the record in, or leave it out?"
        onClick={() => deed(act('criterion.set', { ...criterion, sense: sense === 'in' ? 'out' : 'in' }))}
      >
        yes is {sense}
      </button>
      <button
        className="plain remove"
        aria-label={`Remove criterion ${number}`}
        onClick={() => deed(act('criterion.remove', { id: criterion.id }))}
      >
        ×
      </button>
      {criterion.text.trim() && (
        <TextLine
          className="sub criterion-short"
          aria-label={`Reason that criterion ${number} gives`}
          placeholder="the reason it gives where it leads out, as a statement: no outcome measured"
          {...short}
        />
      )}
    </div>
  )
}

const withoutShort = ({ short: _, ...others }: Criterion): Criterion => others
