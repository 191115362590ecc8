import { foldLabel } from '../base'
import type { Heading } from './heading'
import type { Thesaurus } from './thesaurus'

export type MatchReason =
  | { kind: 'same label' }
  | { kind: 'entry term'; term: string }
  | { kind: 'shared words'; words: string[] }
  | { kind: 'shared records'; count: number }

export interface Candidate {
  heading: Heading
  /** From 0 to 1; 1 is the same label. */
  score: number
  reasons: MatchReason[]
}

const LITTLE = new Set(['of', 'in', 'and', 'the', 'for', 'to', 'a', 'by', 'on', 'with', 'at'])
/** Words that count, without a plural ending, so that "ceilings" meets "ceiling". */
const wordsOf = (name: string): string[] =>
  foldLabel(name)
    .split(' ')
    .filter((w) => w && !LITTLE.has(w))
    .map((w) => w.replace(/(?<=..)s$/, ''))

const WEIGHT = { label: 1, entry: 0.85, words: 0.6, records: 0.5 }

/**
 * Headings of another vocabulary that may mean the same, best first, each with its reasons: the same label; a label
 * that is an entry term over there or here; words that the names share (by Jaccard's coefficient, the best pair of
 * names); records that carry both, if `shared` can count them (with the smaller of the two postings as measure).
 */
export function candidates(
  heading: Heading,
  other: Thesaurus,
  most = 5,
  shared?: (other: Heading) => { both: number; smaller: number },
): Candidate[] {
  const names = [heading.label, ...heading.entryTerms]
  const found: Candidate[] = []
  for (const h of other.vocabulary.headings) {
    const reasons: MatchReason[] = []
    let score = 0
    if (foldLabel(h.label) === foldLabel(heading.label)) {
      reasons.push({ kind: 'same label' })
      score = WEIGHT.label
    } else {
      const theirs = [h.label, ...h.entryTerms]
      const term = names.find((n) => theirs.some((t) => foldLabel(t) === foldLabel(n)))
      if (term) {
        reasons.push({ kind: 'entry term', term })
        score = WEIGHT.entry
      } else {
        const best = bestOverlap(names, theirs)
        if (best.score >= 0.34) {
          reasons.push({ kind: 'shared words', words: best.words })
          score = WEIGHT.words * best.score
        }
      }
    }
    const { both, smaller } = shared?.(h) ?? { both: 0, smaller: 0 }
    if (both > 0 && both / smaller >= 0.2) {
      reasons.push({ kind: 'shared records', count: both })
      score = Math.min(1, score + WEIGHT.records * (both / smaller))
    }
    if (reasons.length) found.push({ heading: h, score, reasons })
  }
  return found
    .sort((a, b) => b.score - a.score || (a.heading.label < b.heading.label ? -1 : 1))
    .slice(0, most)
}

function bestOverlap(
  names: readonly string[],
  theirs: readonly string[],
): { score: number; words: string[] } {
  let best = { score: 0, words: [] as string[] }
  for (const a of names)
    for (const b of theirs) {
      const [x, y] = [new Set(wordsOf(a)), new Set(wordsOf(b))]
      const words = [...x].filter((w) => y.has(w))
      const score = words.length / (new Set([...x, ...y]).size || 1)
      if (score > best.score) best = { score, words }
    }
  return best
}
