import { pluralInWords, thousands } from '../../base'
import { passCounts, readersOf, type PassCounts } from '../../selection'
import type { FactContext, Reader } from './fact'

const counts = (c: FactContext): PassCounts =>
  passCounts(
    c.works.map((w) => w.id),
    c.review.rulings,
    'broad',
  )

/** Facts of the rulings. */
export const SELECTION: Record<string, Reader> = {
  readers: (c) => {
    const names = readersOf(c.review.rulings, 'broad')
    return {
      text: pluralInWords(names.length, 'reader'),
      missing: !names.length,
      stage: 'selection',
      from: 'who has ruled',
    }
  },
  'broad.ruled': (c) => ({
    text: thousands(counts(c).total - counts(c).left),
    stage: 'selection',
    from: 'the rulings of the broad pass',
  }),
  'broad.in': (c) => ({ text: thousands(counts(c).in), stage: 'selection', from: 'works ruled in' }),
  'broad.out': (c) => ({ text: thousands(counts(c).out), stage: 'selection', from: 'works ruled out' }),
  'broad.unsure': (c) => ({ text: thousands(counts(c).unsure), stage: 'selection', from: 'works left open' }),
  'broad.left': (c) => ({
    text: thousands(counts(c).left),
    stage: 'selection',
    from: 'works nobody has ruled',
  }),
}
