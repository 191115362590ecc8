'use client'
import { useMemo, useState } from 'react'
import type { Review } from '@/core/review'
import { useActions, type Action } from '@/page/actions'
import { useOpensFor } from '@/page/handed-in'
import { useSession, useStore } from '@/page/provider'
import { useStaged } from '@/page/use-staged'
import { later } from '@/ui/later'
import { WalkLink } from '../shared/walk/walk-link'
import { useSourceInfos } from '../shared/vocabulary-files'
import { ConceptColumn } from './concept-column'
import { askCriterion, beginConcept, freeLetter } from '@/core/doing'
import { CriteriaPlan } from './criteria'
import { FrameworkChoice } from './framework'
import { KnownItems } from './known-items'
import { QuestionText } from './question-text'
import { Suggestions } from './suggestions'

const LimitsPlan = later(() => import('./limits').then((m) => m.LimitsPlan), { beside: true })
const SourcesPlan = later(() => import('./sources').then((m) => m.SourcesPlan), { beside: true })

/** Opens a menu by its button, and moves to it, so that arrows choose. */
function press(id: string): void {
  const button = document.getElementById(id)
  button?.scrollIntoView({ block: 'center' })
  button?.focus()
  button?.click()
}

/** The question, its concepts, and the plan: limits, criteria and sources, each with its reason. */
export function QuestionStage() {
  const store = useStore()
  const { deed, doIt, newId, session } = store
  const review = useSession((s) => s.folded.review)
  const hereId = useSession((s) => s.reviewId)
  const sources = useSourceInfos(review)
  const [pasting, setPasting] = useState(false)
  useOpensFor('known', () => setPasting(true))
  // The concept that was begun last: the cursor stands in its name.
  const [fresh, setFresh] = useState<string>()
  const add = useMemo(
    () => (): void => {
      if (!freeLetter(session.getState().folded.review)) return
      const id = newId()
      deed(doIt(beginConcept, { id }))
      setFresh(id)
    },
    [deed, doIt, newId, session],
  )
  const actions = useMemo<Action[]>(
    () => [
      {
        id: 'question-words',
        label: 'Choose words',
        key: 'W',
        strip: true,
        run: () => document.querySelector<HTMLElement>('.question-text')?.focus(),
      },
      { id: 'concept-add', label: 'New concept', key: 'N', strip: true, run: add },
      {
        id: 'question-suggestions',
        label: 'Suggestions from the question',
        key: 'S',
        strip: true,
        when: () => document.getElementById('suggestions') !== null,
        run: () => document.getElementById('suggestions')?.focus(),
      },
      { id: 'limit-plan', label: 'Plan a limit', key: 'L', run: () => press('plan-limit') },
      {
        id: 'criterion-ask',
        label: 'Ask a question of each record',
        key: 'Q',
        run: () => deed(doIt(askCriterion, undefined)),
      },
      { id: 'known-paste', label: 'Paste known items', key: 'I', strip: true, run: () => setPasting(true) },
      { id: 'source-add', label: 'Add a database', key: 'D', run: () => press('add-database') },
    ],
    [add, deed, doIt],
  )
  useActions('stage', 'question', actions)
  return (
    <>
      <div className="title-line">
        <TitleLine review={review} />
        <WalkLink />
      </div>
      <QuestionText key={hereId} review={review} />
      <Suggestions review={review} sources={sources} />
      <FrameworkChoice review={review} add={add} />
      <div className="columns" data-anchor="concepts">
        {review.concepts.map((c) => (
          <ConceptColumn key={c.id} concept={c} review={review} fresh={c.id === fresh} />
        ))}
        {!review.concepts.length && (
          <div>
            <p className="empty no-room-above">
              Two to four concepts will stand here, each with its letter, colour and line. They come from
              words of the question, or{' '}
              <button className="plain link" onClick={add}>
                begin one without words
              </button>
              .
            </p>
          </div>
        )}
      </div>
      <div className="plan">
        <div>
          <LimitsPlan review={review} sources={sources} />
          <CriteriaPlan review={review} />
        </div>
        <div>
          <SourcesPlan review={review} sources={sources} />
        </div>
      </div>
      <KnownItems review={review} sources={sources} pasting={pasting} setPasting={setPasting} />
    </>
  )
}

function TitleLine({ review }: { review: Review }) {
  const title = useStaged('title', review.title, (text) => ({
    kind: 'review.rename',
    payload: { title: text },
  }))
  return (
    <input
      className="bare-input sub at-most-wide"

      aria-label="Title of the review"
      placeholder="Working title of the review"
      {...title}
    />
  )
}
