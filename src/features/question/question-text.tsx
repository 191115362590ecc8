'use client'
import { Button, Input } from 'antd'
import { useMemo, useRef, useState, type KeyboardEvent } from 'react'
import type { Letter, Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { leaveField } from '@/page/leave-field'
import { useStaged } from '@/page/use-staged'
import { lettersToOffer, putIntoConcept, takeOutOfConcepts } from '@/core/doing'

interface Word {
  start: number
  end: number
  text: string
}

/** The question's words with their places; signs that stand against a word are not part of it. */
function wordsOf(question: string): Word[] {
  return [...question.matchAll(/[\p{L}\p{N}]+(?:[-’'][\p{L}\p{N}]+)*/gu)].map((m) => ({
    start: m.index,
    end: m.index + m[0].length,
    text: m[0],
  }))
}

/**
 * The question in large type. Words are chosen by dragging or with the arrows (Shift extends), and a concept's letter
 * weaves them into that concept; Delete takes them out again.
 */
export function QuestionText({ review }: { review: Review }) {
  const { deed, doIt } = useStore()
  const [editing, setEditing] = useState(!review.question)
  const staged = useStaged('question', review.question, (text) => ({
    kind: 'question.set',
    payload: { text },
  }))
  const [chosen, setChosen] = useState<{ from: number; to: number }>()
  const dragging = useRef(false)
  const words = useMemo(() => wordsOf(review.question), [review.question])

  if (editing || !review.question)
    return (
      <div className="below-2">
        <Input.TextArea
          className="question-edit"
          autoFocus
          autoSize
          aria-label="The question"
          placeholder="How does … bear on … in …?"
          value={staged.value}
          onChange={staged.onChange}
          onBlur={() => {
            if (staged.onBlur() && staged.value.trim()) setEditing(false)
          }}
          onKeyDown={(e) => {
            if (e.key !== 'Enter' && e.key !== 'Escape') return
            e.preventDefault()
            leaveField(e.currentTarget)
          }}
        />
        <p className="sub above-1">
          One sentence, as you would say it to a colleague. Then choose words in it and press a letter,{' '}
          <kbd>A</kbd> <kbd>B</kbd> <kbd>C</kbd>: they become a concept.
        </p>
      </div>
    )

  const range = chosen && { first: Math.min(chosen.from, chosen.to), last: Math.max(chosen.from, chosen.to) }
  const offered = lettersToOffer(review)
  const weaveChosen = (letter: Letter): void => {
    if (!range) return
    const [start, end] = [words[range.first]!.start, words[range.last]!.end]
    deed(doIt(putIntoConcept, { letter, start, end }))
    setChosen(undefined)
  }
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const letter = offered.find((l) => l === event.key.toUpperCase())
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    if (letter && range) weaveChosen(letter)
    else if (step) {
      const to = Math.max(
        0,
        Math.min(words.length - 1, chosen ? chosen.to + step : step > 0 ? 0 : words.length - 1),
      )
      setChosen(event.shiftKey && chosen ? { from: chosen.from, to } : { from: to, to })
    } else if (event.key === 'Escape') setChosen(undefined)
    else if (event.key === 'Enter') setEditing(true)
    else if ((event.key === 'Delete' || event.key === 'Backspace') && range) {
      const [start, end] = [words[range.first]!.start, words[range.last]!.end]
      deed(doIt(takeOutOfConcepts, { start, end }))
    } else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <>
      <div
        className="question-text"
        role="group"
        tabIndex={0}
        aria-label={`The question: ${review.question} Arrows choose words, Shift extends, a concept’s letter weaves them into a concept, Enter edits.`}
        onKeyDown={onKeyDown}
        onPointerUp={() => (dragging.current = false)}
        onPointerLeave={() => (dragging.current = false)}
      >
        {pieces(review, words).map((piece, i) =>
          piece.word === undefined ? (
            <span key={i} className={`word${piece.letter ? ` woven ${piece.letter}` : ''}`}>
              {piece.text}
            </span>
          ) : (
            <span
              key={i}
              className={`word${piece.letter ? ` woven ${piece.letter}` : ''}${range && piece.word >= range.first && piece.word <= range.last ? ' chosen' : ''}`}
              onPointerDown={(e) => {
                dragging.current = true
                setChosen(
                  e.shiftKey && chosen
                    ? { from: chosen.from, to: piece.word! }
                    : { from: piece.word!, to: piece.word! },
                )
              }}
              onPointerEnter={() =>
                dragging.current && setChosen((c) => c && { from: c.from, to: piece.word! })
              }
            >
              {piece.text}
            </span>
          ),
        )}
      </div>
      <div style={{ display: 'flex', gap: 8, alignItems: 'center', margin: '-8px 0 12px', minHeight: 30 }}>
        {range ? (
          <>
            <span className="sub">Weave the chosen words into</span>
            {offered.map((l) => (
              <Button key={l} size="small" onClick={() => weaveChosen(l)}>
                {l} {review.concepts.find((c) => c.letter === l)?.name ?? 'new concept'}
              </Button>
            ))}
          </>
        ) : (
          <>
            <span className="sub">
              Choose words with the mouse or the arrows, then press a concept’s letter.
            </span>
            <button className="plain link sub" onClick={() => setEditing(true)}>
              Change the wording
            </button>
          </>
        )}
      </div>
    </>
  )
}

/** The question cut at words and at the edges of what is woven. */
function pieces(review: Review, words: Word[]): { text: string; word?: number; letter?: string }[] {
  const letterAt = (start: number, end: number): string | undefined => {
    const pick = review.picks.find((p) => p.start <= start && p.end >= end)
    return pick && review.concepts.find((c) => c.id === pick.conceptId)?.letter
  }
  const out: { text: string; word?: number; letter?: string }[] = []
  let at = 0
  const push = (start: number, end: number, word?: number): void => {
    if (start === end) return
    const letter = letterAt(start, end)
    out.push({
      text: review.question.slice(start, end),
      ...(word === undefined ? {} : { word }),
      ...(letter ? { letter } : {}),
    })
  }
  words.forEach((w, i) => {
    push(at, w.start)
    push(w.start, w.end, i)
    at = w.end
  })
  push(at, review.question.length)
  return out
}
