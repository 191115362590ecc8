import type { LimitValue } from '../../query'
import type { ChosenFacets } from '../../records'
import type { FreshTerm } from '../terms/terms'

/** A line as it is added: what it asks, and within which limits. */
export interface LineAsked {
  text: string
  limits: LimitValue[]
}

/** Signs that would mean something else within a phrase. */
const plain = (word: string): string => word.replace(/["*?]/g, ' ')

/** The line that asks for what was chosen in a look at another line, among what that one finds. */
export function peekedWith(number: number, chosen: ChosenFacets): LineAsked {
  const words = wordsOf(chosen)
  const years = (chosen.year ?? []).map(Number)
  return {
    text: words ? `#${number} AND ${words}` : `#${number}`,
    limits: [
      ...(years.length ? [{ kind: 'years' as const, from: Math.min(...years), to: Math.max(...years) }] : []),
      ...(chosen.language?.length ? [{ kind: 'language' as const, values: [...chosen.language] }] : []),
      ...(chosen.type?.length ? [{ kind: 'document type' as const, values: [...chosen.type] }] : []),
    ],
  }
}

/** The line that leaves it out; undefined where nothing was chosen that words can leave out. */
export const peekedWithout = (number: number, chosen: ChosenFacets): LineAsked | undefined => {
  const words = wordsOf(chosen)
  return words === undefined ? undefined : { text: `#${number} NOT ${words}`, limits: [] }
}

function wordsOf(chosen: ChosenFacets): string | undefined {
  const words = [
    ...(chosen.heading ?? []).map((h) => `heading: "${h}"`),
    ...(chosen.keyword ?? []).map((k) => `keywords: "${plain(k)}"`),
    ...(chosen.place ?? []).map((p) => `place: "${p}"`),
  ]
  return words.length > 1 ? `(${words.join(' OR ')})` : words[0]
}

/** Headings and keywords that were chosen, as terms of a concept: headings for their source, keywords as words for all. */
export const peekedTerms = (
  chosen: ChosenFacets,
  { conceptId, sourceId, from }: { conceptId: string; sourceId: string; from: string },
): FreshTerm[] => [
  ...(chosen.heading ?? []).map((expression): FreshTerm => ({
    conceptId,
    origin: 'harvest',
    from,
    sourceId,
    kind: 'heading',
    expression,
  })),
  ...(chosen.keyword ?? []).map((k): FreshTerm => ({
    ...{ conceptId, origin: 'harvest', from, sourceId: 'all', kind: 'text' },
    expression: k.includes(' ') ? `"${plain(k)}"` : k,
  })),
]
