import { inWords, listed, plural } from '../../base'
import { termsInUse, type Term } from '../../review'
import { triedAndDropped } from '../standing'
import { lookedUp } from '../sayings/headings-seen'
import { termsAsked } from '../terms-asked'
import { nameInText, someNamed, spellWords } from '../words'
import { MISSING, type FactContext, type Reader } from './fact'

const NAMED_BY_YIELD = 9
/** Up to so many are named all. */
export const NAMED_ALL = 12

/** The words that a section names: all of few; of many those that most works hold, of concepts that are asked for. */
function mostOf(c: FactContext, count: number): string[] {
  const { review, yields } = c
  // Once something was run, those that were searched with.
  const all = review.runs.length ? termsAsked(c) : termsInUse(review)
  const used = all.filter((t) => t.kind !== 'class')
  const said = (t: Term): string => t.named?.name ?? t.expression.replace(/"/g, '')
  const unique = (terms: readonly Term[]): string[] => [...new Set(terms.map(said))]
  if (used.length <= NAMED_ALL) return unique(used)
  // A concept that the joined lines do not ask for found nothing by its words.
  const enough = new Set(review.alternatives.flatMap((a) => a.conceptIds))
  const asked = new Set(review.concepts.filter((k) => k.essential || enough.has(k.id)).map((k) => k.id))
  const words = used.filter((t) => t.kind === 'text' && (!asked.size || asked.has(t.conceptId)))
  const from = words.length ? words : used
  const best = [...from].sort((a, b) => (yields?.get(b.id) ?? 0) - (yields?.get(a.id) ?? 0))
  return unique(best).slice(0, count)
}

function most(c: FactContext, count: number): ReturnType<Reader> {
  const words = mostOf(c, count)
  return {
    text: listed(words) || MISSING,
    missing: !words.length,
    stage: 'terms',
    from: c.yields ? 'the works that hold each word' : 'the term grid',
  }
}

/** Facts of the term grid. */
export const TERMS = {
  'terms.tried': (c) => {
    const n = triedAndDropped(c.review).length
    return { text: inWords(n), missing: !n, stage: 'terms', from: 'dropped terms that were run' }
  },
  'terms.unasked': (c) => {
    const n = termsInUse(c.review).length - termsAsked(c).length
    return {
      text: inWords(n),
      missing: !n,
      stage: 'terms',
      from: 'terms in use that stand in no line that was run',
    }
  },
  'terms.few': (c) => most(c, 3),
  'terms.most': (c) => most(c, NAMED_BY_YIELD),
  'terms.count': (c) => {
    const used = termsInUse(c.review)
    return { text: plural(used.length, 'term'), missing: !used.length, stage: 'terms', from: 'the term grid' }
  },
  'terms.dropped': (c) => {
    const n = c.review.terms.filter((t) => t.status === 'dropped').length
    return { text: inWords(n), missing: !n, stage: 'terms', from: 'the terms dropped in the grid' }
  },
  'terms.names': (c, id) => {
    const names = c.review.terms
      .filter((t) => t.conceptId === id && t.kind === 'named' && t.status === 'in use')
      .map((t) => t.named?.name ?? t.expression)
    return {
      text: listed(names) || MISSING,
      missing: !names.length,
      stage: 'terms',
      anchor: `concept:${id}`,
      from: 'the names in the term grid',
    }
  },
  'gap.about': (c, id) => {
    const gap = c.review.gaps.find((g) => g.id === id)
    return {
      text: gap ? nameInText(gap.about, c.review.question) : MISSING,
      missing: !gap,
      stage: 'terms',
      anchor: `concept:${gap?.conceptId ?? ''}`,
      from: 'what a vocabulary was searched for in vain',
    }
  },
  'terms.words': (c, id) => {
    const words = c.review.terms
      .filter((t) => t.conceptId === id && t.kind === 'text' && t.status === 'in use')
      .map((t) => t.expression.replace(/"/g, ''))
    return {
      text: someNamed(words) || MISSING,
      missing: !words.length,
      stage: 'terms',
      anchor: `concept:${id}`,
      from: 'the text words of the term grid',
    }
  },
  'terms.headings': (c, of) => {
    const [conceptId, sourceId] = of.split('/')
    const headings = c.review.terms
      .filter(
        (t) =>
          t.conceptId === conceptId &&
          t.sourceId === sourceId &&
          t.kind === 'heading' &&
          t.status === 'in use',
      )
      .map((t) => t.expression)
    return {
      text: someNamed(headings) || MISSING,
      missing: !headings.length,
      stage: 'terms',
      anchor: `concept:${conceptId}`,
      from: 'the headings of the term grid',
    }
  },
  'lookup.days': (c, sourceId) => {
    const { days } = lookedUp(c, sourceId)
    const [first, last] = [days[0], days.at(-1)]
    return {
      text: first && last ? spellWords({ first, last }) : MISSING,
      missing: !first,
      stage: 'terms',
      anchor: `source:${sourceId}`,
      from: 'headings that were noted or looked up in its thesaurus',
    }
  },
  'lookup.missing': (c, sourceId) => {
    const { missing } = lookedUp(c, sourceId)
    return {
      text: listed(missing.map((w) => `“${w}”`)) || MISSING,
      missing: !missing.length,
      stage: 'terms',
      anchor: `source:${sourceId}`,
      from: 'what was looked up in its thesaurus and is no heading there',
    }
  },
} satisfies Record<string, Reader>
