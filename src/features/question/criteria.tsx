'use client'
import { askCriterion, dropCriterion, turnPass, turnSense } from '@/core/doing'
import { Button } from 'antd'
import type { Criterion, Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { useStaged } from '@/page/use-staged'
import { TextLine } from '@/ui/text-line'
import { KeyHint } from '../shared/key-hint'

/** Criteria as questions that are asked of each record. */
export function CriteriaPlan({ review }: { review: Review }) {
  const { deed, doIt } = useStore()
  return (
    <section aria-labelledby="criteria-head" className="above-4">
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
      <Button size="small" className="above-2" onClick={() => deed(doIt(askCriterion, undefined))}>
        Ask a question
        <KeyHint of="criterion-ask" />
      </Button>
    </section>
  )
}

function CriterionRow({ criterion, number }: { criterion: Criterion; number: number }) {
  const { deed, doIt } = useStore()
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
        onClick={() => deed(doIt(turnPass, criterion))}
      >
        {pass} pass
      </button>
      <button
        className="plain link sub"
        title="Does a yes keep the record in, or leave it out?"
        onClick={() => deed(doIt(turnSense, criterion))}
      >
        yes is {sense}
      </button>
      <button
        className="plain remove"
        aria-label={`Remove criterion ${number}`}
        onClick={() => deed(doIt(dropCriterion, criterion.id))}
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
