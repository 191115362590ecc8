import { useMemo } from 'react'
import { foldLabel } from '@/core/base'
import { Scanned, type IndexedField } from '@/core/engine'
import type { Expr } from '@/core/query'
import { toDocument, type Rec } from '@/core/records'
import { termExpression } from '@/core/strategy'
import type { Review } from '@/core/review'
import { sourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk } from '@/workers'

export interface Mark {
  start: number
  end: number
  letter: string
}
export interface MarkedRecord {
  /** Marks of one value of a field, in order, without overlaps; the first concept that marks a word keeps it. */
  of: (field: IndexedField, value?: number) => Mark[]
  /** The letter of the concept that a heading of the record was taken for. */
  heading: (label: string) => string | undefined
}

/** Finds what the terms in the grid match in a record, for marking it in the colours of their concepts. */
export function useMarker(review: Review): (record: Rec) => MarkedRecord {
  const headings = useHeadingLetters(review)
  const expressions = useMemo(
    () =>
      review.concepts.map((c) => ({
        letter: c.letter,
        words: review.terms
          .filter((t) => t.conceptId === c.id && t.kind === 'text' && t.status === 'in use')
          .flatMap((t): Expr[] => {
            const e = termExpression(t)
            return e ? [e] : []
          }),
      })),
    [review.concepts, review.terms],
  )
  return useMemo(
    () => (record) => {
      const scanned = new Scanned(toDocument(record))
      const marks = expressions.flatMap(({ letter, words }) =>
        words.flatMap((e) => scanned.hits(e).map((hit) => ({ ...hit, letter }))),
      )
      return {
        of: (field, value = 0) => {
          const own = marks
            .filter((m) => m.field === field && m.value === value)
            .sort((a, b) => a.at[0] - b.at[0])
          const out: Mark[] = []
          for (const { at, letter } of own) {
            const last = out[out.length - 1]
            if (last && at[0] < last.end) continue
            // Words of one phrase run together.
            if (last && last.letter === letter && at[0] - last.end === 1) last.end = at[1]
            else out.push({ start: at[0], end: at[1], letter })
          }
          return out
        },
        heading: (label) => headings.get(foldLabel(label)),
      }
    },
    [expressions, headings],
  )
}

/** Which concept a heading was taken for, narrower ones included; by folded label. */
function useHeadingLetters(review: Review): ReadonlyMap<string, string> {
  const { terms, concepts, sources, vocabularies, headingsNoted } = review
  const { value } = useAsked(
    async () => {
      const jobs = terms
        .filter((t) => t.kind === 'heading' && t.status === 'in use')
        .map(async (t) => {
          const letter = concepts.find((c) => c.id === t.conceptId)?.letter
          const source = sources.find((s) => s.id === t.sourceId)
          const key = source && sourceInfo(review, source).vocabulary?.key
          const labels = key
            ? await vocabularyDesk().foldedLabels(key, t.expression, t.withNarrower)
            : undefined
          return letter ? (labels ?? []).map((l): [string, string] => [l, letter]) : []
        })
      return new Map((await Promise.all(jobs)).flat())
    },
    // Of the review only these decide what a heading stands for.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [terms, concepts, sources, vocabularies, headingsNoted],
    { keep: true },
  )
  return value ?? NO_LETTERS
}
const NO_LETTERS: ReadonlyMap<string, string> = new Map()
