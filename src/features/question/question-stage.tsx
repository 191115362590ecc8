'use client'
import { Button } from 'antd'
import { useMemo } from 'react'
import type { Concept, Review } from '@/core/review'
import { useActions, type Action } from '@/store/actions'
import { act, newId, useSession } from '@/store/session'
import { useStaged } from '@/store/use-staged'
import { Strand } from '@/ui/strand'
import { freeLetter } from './concepts'
import { CriteriaPlan } from './criteria'
import { LimitsPlan } from './limits'
import { QuestionText } from './question-text'
import { SourcesPlan } from './sources'

/** The question, its concepts, and the plan: limits, criteria and sources, each with its reason. */
export function QuestionStage() {
  const review = useSession((s) => s.folded.review)
  const add = useMemo(
    () => (): void => {
      const { review: now } = useSession.getState().folded
      const letter = freeLetter(now)
      if (letter)
        void act('concept.set', { id: newId(), letter, name: `Concept ${letter}`, essential: true, note: '' })
    },
    [],
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
    ],
    [add],
  )
  useActions('question', actions)
  return (
    <>
      <TitleLine review={review} />
      <QuestionText key={review.id} review={review} />
      <div className="columns" data-anchor="concepts">
        {review.concepts.map((c) => (
          <ConceptColumn key={c.id} concept={c} review={review} />
        ))}
        {!review.concepts.length && (
          <div>
            <p className="empty" style={{ paddingTop: 0 }}>
              Two to four concepts will stand here, each with its letter, colour and line. They come from
              words of the question, or{' '}
              <button className="plain link" onClick={add}>
                begin one without words
              </button>
              .
            </p>
          </div>
        )}
        {review.concepts.length > 0 && review.concepts.length < 6 && (
          <div style={{ borderTop: '1px solid var(--hair)', paddingTop: 12 }}>
            <Button size="small" onClick={add}>
              New concept<kbd>N</kbd>
            </Button>
          </div>
        )}
      </div>
      <div className="plan">
        <div>
          <LimitsPlan review={review} />
          <CriteriaPlan review={review} />
        </div>
        <SourcesPlan review={review} />
      </div>
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
      className="bare-input sub"
      style={{ maxWidth: 520 }}
      aria-label="Title of the review"
      placeholder="Working title of the review"
      {...title}
    />
  )
}

function ConceptColumn({ concept, review }: { concept: Concept; review: Review }) {
  const name = useStaged(`concept-name-${concept.id}`, concept.name, (text) => ({
    kind: 'concept.set',
    payload: { ...concept, name: text },
  }))
  const words = review.picks.filter((p) => p.conceptId === concept.id)
  return (
    <div className={`concept ${concept.letter}`} data-anchor={`concept:${concept.id}`}>
      <div className="name">
        <Strand letter={concept.letter} />
        <input className="bare-input" aria-label={`Name of concept ${concept.letter}`} {...name} />
        <button
          className="plain remove"
          aria-label={`Remove concept ${concept.letter} with its terms`}
          title="Remove the concept with its terms (can be undone)"
          onClick={() => void act('concept.remove', { id: concept.id })}
        >
          ×
        </button>
      </div>
      <div className="words">
        {words.length ? (
          words.map((p) => p.text).join(', ')
        ) : (
          <span className="sub">no words of the question</span>
        )}
      </div>
      <button
        className="plain link sub"
        onClick={() => void act('concept.set', { ...concept, essential: !concept.essential })}
      >
        {concept.essential ? 'essential' : 'optional: authors often leave it unsaid'}
      </button>
    </div>
  )
}
