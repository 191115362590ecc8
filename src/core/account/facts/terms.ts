import { inWords, listed, plural } from '../../base'
import { termsInUse } from '../../review'
import { triedAndDropped } from '../standing'
import { someNamed } from '../words'
import { MISSING, type Reader } from './fact'

/** Facts of the term grid. */
export const TERMS: Record<string, Reader> = {
  'terms.tried': (c) => {
    const n = triedAndDropped(c.review).length
    return { text: inWords(n), missing: !n, stage: 'terms', from: 'dropped terms that were run' }
  },
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
      text: gap?.about ?? MISSING,
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
}
