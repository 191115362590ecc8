'use client'
import { useEffect, useState } from 'react'
import { listed, plural, thousands } from '@/core/base'
import type { Concept, Review } from '@/core/review'
import { act, newId } from '@/store/session'
import type { SourceInfo } from '@/store/source-info'
import { vocabularyDesk, type Match, type Neighbourhood } from '@/workers'
import { putTerms } from '../shared/term-commands'

export interface Elsewhere {
  info: SourceInfo
  matches: Match[]
}

/** The same idea in the other vocabularies of the plan, for one heading; answers as each vocabulary opens. */
export function useElsewhere(
  from: SourceInfo,
  others: readonly SourceInfo[],
  shown: Neighbourhood | undefined,
): Elsewhere[] {
  const [found, setFound] = useState<{ id: string; list: Elsewhere[] }>({ id: '', list: [] })
  const id = shown?.heading.id
  const key = from.vocabulary?.key
  useEffect(() => {
    let current = true
    if (!id || !key) return
    void Promise.all(
      others.map(async (info) => ({
        info,
        matches: await vocabularyDesk().matches(key, id, info.vocabulary!.key),
      })),
    ).then((list) => current && setFound({ id, list }))
    return () => {
      current = false
    }
  }, [id, key, others])
  return found.id === id ? found.list : []
}

const taken = (review: Review, concept: Concept, info: SourceInfo, label: string): boolean =>
  review.terms.some(
    (t) =>
      t.conceptId === concept.id &&
      t.sourceId === info.source.id &&
      t.expression === label &&
      t.status === 'in use',
  )

/** Takes the best match of every other vocabulary that has none of its matches in the row yet. */
export function fillRow(
  review: Review,
  concept: Concept,
  elsewhere: readonly Elsewhere[],
  from: string,
): void {
  putTerms(
    review,
    elsewhere.flatMap(({ info, matches }) => {
      const [best] = matches
      if (!best || matches.some((m) => taken(review, concept, info, m.label))) return []
      return [matchTerm(concept, info, best, from)]
    }),
  )
}

const matchTerm = (concept: Concept, info: SourceInfo, match: Match, from: string) => ({
  conceptId: concept.id,
  sourceId: info.source.id,
  kind: 'heading' as const,
  expression: match.label,
  withNarrower: match.alone !== match.withNarrower,
  origin: 'suggestion' as const,
  from: `the same as ${from}`,
})

const reasonWords = ({ reasons }: Match): string =>
  reasons
    .map((r) => {
      switch (r.kind) {
        case 'same label':
          return 'the same label'
        case 'entry term':
          return `entry term “${r.term}”`
        case 'shared words':
          return `shares ${listed(r.words.map((w) => `“${w}”`))}`
        case 'shared records':
          return `${plural(r.count, 'record')} with both`
      }
    })
    .join(', ')

/** The same elsewhere: candidates with the reason of the match, or that a vocabulary has nothing. */
export function ElsewhereList({
  review,
  concept,
  elsewhere,
  label,
  fill,
}: {
  review: Review
  concept: Concept
  elsewhere: readonly Elsewhere[]
  label: string
  fill: () => void
}) {
  if (!elsewhere.length) return null
  return (
    <div className="elsewhere">
      <h2>
        The same elsewhere
        <button className="plain link sub" onClick={fill} title="Take the best of each into this row">
          fill the row <kbd>R</kbd>
        </button>
      </h2>
      {elsewhere.map(({ info, matches }) => {
        const gap = review.gaps.find(
          (g) => g.conceptId === concept.id && g.sourceId === info.source.id && g.about === label,
        )
        return (
          <div key={info.source.id} className="elsewhere-of">
            <span className="sub">{info.short}</span>
            {matches.slice(0, 3).map((m) => (
              <p key={m.id}>
                <button
                  className={`plain ${taken(review, concept, info, m.label) ? 'have' : 'link'}`}
                  onClick={() => putTerms(review, [matchTerm(concept, info, m, label)])}
                >
                  {taken(review, concept, info, m.label) && '✓ '}
                  {m.label}
                </button>{' '}
                <span className="sub">
                  {m.alone !== undefined && `${thousands(m.alone)} · `}
                  {reasonWords(m)}
                </span>
              </p>
            ))}
            {gap ? (
              <p className="sub">noted: nothing for it</p>
            ) : (
              <p className="sub">
                {matches.length ? 'None of these? ' : 'Nothing found; '}
                <button
                  className="plain link"
                  onClick={() =>
                    void act('gap.set', {
                      id: newId(),
                      conceptId: concept.id,
                      sourceId: info.source.id,
                      about: label,
                    })
                  }
                >
                  note that it has nothing
                </button>
              </p>
            )}
          </div>
        )
      })}
    </div>
  )
}
