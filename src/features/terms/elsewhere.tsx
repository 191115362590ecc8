'use client'
import { noteGap } from '@/core/doing'
import { listed, plural, thousands } from '@/core/base'
import type { Concept, Review } from '@/core/review'
import type { Store } from '@/store/store'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk, type Match, type Neighbourhood } from '@/workers'
import { KeyHint } from '../shared/key-hint'
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
  const id = shown?.heading.id
  const key = from.vocabulary?.key
  const { value } = useAsked(() => {
    if (!id || !key) return undefined
    return Promise.all(
      // A source may have headings of which none was seen yet.
      others.flatMap((info) => (info.vocabulary ? [matchesIn(info, info.vocabulary.key, key, id)] : [])),
    )
  }, [id, key, others])
  return value ?? NOWHERE
}
const NOWHERE: Elsewhere[] = []

const matchesIn = async (info: SourceInfo, there: string, key: string, id: string): Promise<Elsewhere> => ({
  info,
  matches: await vocabularyDesk().matches(key, id, there),
})

const taken = (review: Review, concept: Concept, info: SourceInfo, label: string): boolean =>
  review.terms.some(
    (t) =>
      t.conceptId === concept.id &&
      t.sourceId === info.source.id &&
      t.expression === label &&
      t.status === 'in use',
  )

/** What filling the row would take: the best match of each vocabulary, where it is strong and none is taken yet. */
export function rowFilling(
  review: Review,
  concept: Concept,
  elsewhere: readonly Elsewhere[],
): { info: SourceInfo; match: Match }[] {
  return elsewhere.flatMap(({ info, matches }) => {
    const match = matches.find((m) => m.strong)
    return match && !matches.some((m) => taken(review, concept, info, m.label)) ? [{ info, match }] : []
  })
}

/** Takes what `rowFilling` shows. */
export function fillRow(
  store: Store,
  review: Review,
  concept: Concept,
  elsewhere: readonly Elsewhere[],
  from: string,
): void {
  putTerms(
    store,
    rowFilling(review, concept, elsewhere).map(({ info, match }) => matchTerm(concept, info, match, from)),
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
  const store = useStore()
  const { deed, doIt } = store
  if (!elsewhere.length) return null
  const filling = rowFilling(review, concept, elsewhere)
  return (
    <div className="elsewhere">
      <h2>The same elsewhere</h2>
      <p className="sub">
        {filling.length ? (
          <>
            <button className="plain link" onClick={fill}>
              Fill the row <KeyHint of="fill-row" />
            </button>{' '}
            takes{' '}
            {filling.map(({ info, match }, i) => (
              <span key={info.source.id}>
                {i > 0 && ', '}
                <i>{match.label}</i> ({info.short})
              </span>
            ))}
            .
          </>
        ) : (
          'Nothing here is strong enough to be taken without a look: neither the same name, nor words in common and many records with both.'
        )}
      </p>
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
                  onClick={() => putTerms(store, [matchTerm(concept, info, m, label)])}
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
                    deed(
                      doIt(noteGap, {
                        conceptId: concept.id,
                        sourceId: info.source.id,
                        about: label,
                      }),
                    )
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
