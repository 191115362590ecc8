import { pluralInWords, thousands } from '../../base'
import type { Reader } from './fact'

/** Facts of the rulings. */
export const SELECTION: Record<string, Reader> = {
  readers: (c) => {
    const names = c.figures.readers.broad
    return {
      text: pluralInWords(names.length, 'reader'),
      missing: !names.length,
      stage: 'selection',
      from: 'who has ruled',
    }
  },
  'broad.ruled': (c) => ({
    text: thousands(c.figures.broad.total - c.figures.broad.left),
    stage: 'selection',
    from: 'the rulings of the broad pass',
  }),
  'broad.in': (c) => ({ text: thousands(c.figures.broad.in), stage: 'selection', from: 'works ruled in' }),
  'broad.out': (c) => ({ text: thousands(c.figures.broad.out), stage: 'selection', from: 'works ruled out' }),
  'broad.unsure': (c) => ({
    text: thousands(c.figures.broad.unsure),
    stage: 'selection',
    from: 'works left open',
  }),
  'broad.left': (c) => ({
    text: thousands(c.figures.broad.left),
    stage: 'selection',
    from: 'works nobody has ruled',
  }),
}
