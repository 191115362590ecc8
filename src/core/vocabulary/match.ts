import { foldLabel, wilson } from '../base'
import { looseWords } from './loose'
import type { Heading } from './heading'
import type { Thesaurus } from './thesaurus'

export type MatchReason =
  | { kind: 'same label' }
  | { kind: 'entry term'; term: string }
  | { kind: 'shared words'; words: string[] }
  /** Records of the works that both sources hold; `expected` by chance. */
  | { kind: 'shared records'; count: number; expected: number }

export interface Candidate {
  heading: Heading
  /** From 0 to 1; 1 is the same label. */
  score: number
  reasons: MatchReason[]
}

/** How often two headings stand with the same works, how many works the rarer one has, and what chance would give. */
export interface Together {
  both: number
  smaller: number
  expected: number
}

/** From so many works with both, and so many times what chance gives, records and words in common make a match strong. */
const STRONG = { works: 10, timesChance: 5 }

/**
 * Is a match strong enough to be taken unseen? The same label or an entry term is. Words that are alike are not, nor are records
 * with both: what is studied together is not the same. Both at once are, where chance does not explain the records.
 */
export const isStrong = (reasons: readonly MatchReason[]): boolean =>
  isLikely(reasons) &&
  reasons.some(
    (r) =>
      r.kind === 'same label' ||
      r.kind === 'entry term' ||
      (r.kind === 'shared records' && r.count >= STRONG.works && r.count >= STRONG.timesChance * r.expected),
  )

/** Do the names speak for it, and not only records that carry both? */
export const isLikely = (reasons: readonly MatchReason[]): boolean =>
  reasons.some((r) => r.kind !== 'shared records')

const WEIGHT = { label: 1, entry: 0.85, words: 0.6, records: 0.5 }

/**
 * Headings of another vocabulary that may mean the same, best first, each with its reasons: the same label; a label
 * that is an entry term over there or here; words that the names share (by Jaccard's coefficient, the best pair of
 * names); records that carry both, if `shared` can count them (by the share of the rarer heading's records that is sure).
 */
export function candidates(
  heading: Heading,
  other: Thesaurus,
  most = 5,
  shared?: (other: Heading) => Together,
): Candidate[] {
  const names = namesOf(heading)
  const found: Candidate[] = []
  for (const h of other.vocabulary.headings) {
    const reasons: MatchReason[] = []
    let score = 0
    const theirs = namesOf(h)
    if (theirs[0]!.folded === names[0]!.folded) {
      reasons.push({ kind: 'same label' })
      score = WEIGHT.label
    } else {
      const term = names.find((n) => theirs.some((t) => t.folded === n.folded))
      if (term) {
        reasons.push({ kind: 'entry term', term: term.text })
        score = WEIGHT.entry
      } else {
        const best = bestOverlap(names, theirs)
        if (best.score >= 0.34) {
          reasons.push({ kind: 'shared words', words: best.words })
          score = WEIGHT.words * best.score
        }
      }
    }
    const { both, smaller, expected } = shared?.(h) ?? { both: 0, smaller: 0, expected: 0 }
    if (both >= 3 && both / smaller >= 0.2) {
      reasons.push({ kind: 'shared records', count: both, expected })
      score = Math.min(1, score + WEIGHT.records * wilson(both, smaller).from)
    }
    if (reasons.length) found.push({ heading: h, score, reasons })
  }
  return found
    .sort((a, b) => b.score - a.score || (a.heading.label < b.heading.label ? -1 : 1))
    .slice(0, most)
}

interface Name {
  text: string
  folded: string
  words: ReadonlySet<string>
}

/** Label first, then entry terms; made once for a heading, since every look-up meets all of them. */
const known = new WeakMap<Heading, Name[]>()
function namesOf(heading: Heading): Name[] {
  let names = known.get(heading)
  if (!names) {
    names = [heading.label, ...heading.entryTerms].map((text) => ({
      text,
      folded: foldLabel(text),
      words: new Set(looseWords(text)),
    }))
    known.set(heading, names)
  }
  return names
}

function bestOverlap(names: readonly Name[], theirs: readonly Name[]): { score: number; words: string[] } {
  let best = { score: 0, words: [] as string[] }
  for (const { words: x } of names)
    for (const { words: y } of theirs) {
      const words = [...x].filter((w) => y.has(w))
      const score = words.length / (x.size + y.size - words.length || 1)
      if (score > best.score) best = { score, words }
    }
  return best
}
