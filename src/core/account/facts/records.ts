import { inWords, plural, thousands } from '../../base'
import { nameOf, type Reader } from './fact'

/** Facts of the records that were brought in. */
export const RECORDS = {
  'known.found': (c) => ({
    text: inWords(c.figures.knownFound),
    stage: 'records',
    anchor: 'known',
    from: 'the known items among the records that were brought in',
  }),
  'known.outside': (c) => ({
    text: inWords(c.figures.knownOutside),
    missing: !c.figures.knownOutside,
    stage: 'records',
    anchor: 'known',
    from: 'known items from years that every search left out',
  }),
  'known.missed': (c) => {
    const n = c.review.knownItems.length - c.figures.knownFound - c.figures.knownOutside
    return {
      text: inWords(n),
      missing: n <= 0,
      stage: 'records',
      anchor: 'known',
      from: 'known items that no search left out and none found',
    }
  },
  'records.from': (c, id) => {
    const n = c.figures.brought[id] ?? 0
    return {
      text: thousands(n),
      missing: !n,
      stage: 'records',
      from: `the records brought in from ${nameOf(c, id)}`,
    }
  },
  'records.identified': (c) => ({
    text: plural(c.figures.identified, 'record'),
    missing: !c.figures.identified,
    stage: 'records',
    from: 'the records brought in',
  }),
  'records.identified.n': (c) => ({
    text: thousands(c.figures.identified),
    missing: !c.figures.identified,
    stage: 'records',
    from: 'the records brought in',
  }),
  'records.described': (c) => ({
    text: thousands(c.figures.duplicates),
    stage: 'records',
    from: 'records that stand for the same work',
  }),
  'records.duplicates': (c) => {
    const n = c.figures.duplicates
    return { text: plural(n, 'duplicate'), stage: 'records', from: 'records that stand for the same work' }
  },
  'works.once.from': (c, id) => ({
    text: thousands(c.figures.onceFrom[id] ?? 0),
    missing: !(id in c.figures.brought),
    stage: 'records',
    anchor: `source:${id}`,
    from: `works that ${nameOf(c, id)} alone has`,
  }),
  'works.once': (c) => ({
    text: thousands(c.figures.foundOnce),
    missing: !c.figures.foundOnce,
    stage: 'records',
    from: 'works that one source alone has',
  }),
  works: (c) => ({
    text: plural(c.figures.works, 'work'),
    missing: !c.figures.works,
    stage: 'records',
    from: 'the works behind the records',
  }),
} satisfies Record<string, Reader>
