import { saying } from './saying'
import { differed, settledIn, type Settled } from './settled'

/** How it ended where readers saw full texts differently. */
export const textsSettled = saying<Settled>({
  family: 'differences on texts',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  finds: {
    when: { differed: (c) => differed(c, 'close') },
    found: (c) => settledIn(c, 'close'),
  },
})
