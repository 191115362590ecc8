import { inWords, plural, thousands } from '../../base'
import { nameOf, type FactContext, type Reader } from './fact'
import { knownFound } from './known-items'

const identified = (c: FactContext): number => c.review.imports.reduce((n, i) => n + i.count, 0)

/** Facts of the records that were brought in. */
export const RECORDS: Record<string, Reader> = {
  'known.found': (c) => {
    const found = knownFound(c)
    return {
      text: inWords(found),
      stage: 'records',
      anchor: 'known',
      from: 'the known items among the records that were brought in',
    }
  },
  'records.from': (c, id) => {
    const n = c.review.imports.filter((i) => i.sourceId === id).reduce((sum, i) => sum + i.count, 0)
    return {
      text: thousands(n),
      missing: !n,
      stage: 'records',
      from: `the records brought in from ${nameOf(c, id)}`,
    }
  },
  'records.identified': (c) => ({
    text: plural(identified(c), 'record'),
    missing: !identified(c),
    stage: 'records',
    from: 'the records brought in',
  }),
  'records.duplicates': (c) => {
    const n = identified(c) - c.works.length
    return { text: plural(n, 'duplicate'), stage: 'records', from: 'records that stand for the same work' }
  },
  works: (c) => ({
    text: plural(c.works.length, 'work'),
    missing: !c.works.length,
    stage: 'records',
    from: 'the works behind the records',
  }),
}
