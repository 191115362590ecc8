'use client'
import { useState } from 'react'
import { listed, thousands } from '@/core/base'
import { lettersToOffer, ownerOf, pickAround, takePhrase } from '@/core/doing'
import type { Letter, Review } from '@/core/review'
import { ideasIn } from '@/core/vocabulary'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { LetterList } from '@/ui/letter-list'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk, type Suggestion } from '@/workers'

interface Props {
  review: Review
  sources: readonly SourceInfo[]
}

/** Phrases of the question that lead to headings; a concept's letter takes the phrase and its headings in one go. */
export function Suggestions({ review, sources }: Props) {
  const { deed, doIt } = useStore()
  const found = useSuggestions(review.question, sources)
  const [all, setAll] = useState(false)
  const untaken = found.filter((s) => !isTaken(review, sources, s))
  // A word inside a longer woven phrase matters while a vocabulary has nothing for that concept; else who wants it asks.
  const fresh = untaken.filter((s) => {
    const pick = pickAround(review, s)
    if (!pick || (pick.start === s.start && pick.end === s.end)) return true
    return s.headings.some((h) => {
      const source = sources.find((x) => x.vocabulary?.key === h.key)?.source
      return !review.terms.some((t) => t.conceptId === pick.conceptId && t.sourceId === source?.id)
    })
  })
  const led = all ? untaken : fresh
  // What leads to no heading may be an idea all the same: of the stretches that nothing else speaks of, nor is woven.
  const ideas = ideasIn(review.question).filter((idea) =>
    [...found, ...review.picks].every((other) => other.end <= idea.start || other.start >= idea.end),
  )
  const open: Suggestion[] = [...led, ...ideas.map((idea) => ({ ...idea, headings: [] }))].sort(
    (a, b) => a.start - b.start,
  )
  const letters = lettersToOffer(review)

  if (!open.length)
    return untaken.length ? (
      <p className="sub below-2">
        Within the woven words {listed(untaken.slice(0, 5).map((s) => `“${s.text}”`))} lead
        {untaken.length === 1 ? 's' : ''} to more headings.{' '}
        <button
          id="suggestions"
          className="plain link"
          onClick={() => setAll(true)}
          onFocus={() => setAll(true)}
        >
          Show them
        </button>
      </p>
    ) : null

  const take = (s: Suggestion, letter: Letter): void => {
    const headings = s.headings.flatMap((h) => {
      const source = sources.find((x) => x.vocabulary?.key === h.key)?.source
      return source ? [{ sourceId: source.id, label: h.label, withNarrower: h.alone !== h.withNarrower }] : []
    })
    deed(doIt(takePhrase, { letter, phrase: s, headings }))
  }
  return (
    <section className="suggestions" aria-label="Phrases of the question">
      <p className="sub">
        {led.length
          ? 'These words lead to headings, or may be ideas of the question. '
          : 'These may be the ideas of the question. '}
        <kbd>S</kbd> chooses one, a concept’s letter takes it{led.length > 0 && ', with its headings'}.
      </p>
      <LetterList
        id="suggestions"
        label="Suggestions from the question"
        autoFocus={all}
        letters={letters}
        take={(row, letter) => take(open[row]!, letter)}
        rows={open.map((s) => ({
          key: `${s.start}-${s.end}`,
          name: `“${s.text}”`,
          best: ownerOf(review, s)?.letter,
          content: (
            <>
              <span className="serif">{s.text}</span>
              <span>
                {!s.headings.length && <span className="sub">as words, for every source</span>}
                {s.headings.map((h, k) => (
                  <span key={`${h.key}/${h.id}`}>
                    {k > 0 && ' · '}
                    <b>{h.label}</b>{' '}
                    <span className="sub">
                      {sources.find((x) => x.vocabulary?.key === h.key)?.short}
                      {h.withNarrower === undefined ? '' : ` ${thousands(h.withNarrower)}`}
                      {h.entry && ', by an entry term'}
                    </span>
                  </span>
                ))}
              </span>
            </>
          ),
        }))}
      />
    </section>
  )
}

function useSuggestions(question: string, sources: readonly SourceInfo[]): Suggestion[] {
  const keys = sources.flatMap((s) => s.vocabulary?.key ?? []).join('\n')
  const { value } = useAsked(
    async () => {
      const list = await vocabularyDesk().suggestions(question, keys ? keys.split('\n') : [])
      return list.filter((s) => s.headings.some((h) => h.withNarrower !== 0))
    },
    [question, keys],
    { keep: true },
  )
  return value ?? NO_SUGGESTIONS
}
const NO_SUGGESTIONS: Suggestion[] = []

/** Woven, and every heading it leads to is in the grid, used or dropped. */
function isTaken(review: Review, sources: readonly SourceInfo[], s: Suggestion): boolean {
  return s.headings.every((h) => {
    const source = sources.find((x) => x.vocabulary?.key === h.key)?.source
    return !source || review.terms.some((t) => t.sourceId === source.id && t.expression === h.label)
  })
}
