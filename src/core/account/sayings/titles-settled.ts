import { saying } from './saying'
import { differed, settledIn, type Settled } from './settled'

/** How it ended where readers saw titles and abstracts differently. */
export const titlesSettled = saying<Settled>({
  family: 'differences on titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  finds: {
    when: { differed: (c) => differed(c, 'broad') },
    found: (c) => settledIn(c, 'broad'),
  },
})
