import { agreedOn, pairsRuled, type Agreed } from './agreed'
import { saying } from './saying'

/** How far those agreed who ruled the same full texts. */
export const textsAgreed = saying<Agreed>({
  family: 'agreement on texts',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  core: true,
  finds: {
    when: { together: (c) => pairsRuled(c, 'close') },
    found: (c) => agreedOn(c, 'close'),
  },
})
