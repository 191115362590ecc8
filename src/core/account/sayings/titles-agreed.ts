import { agreedOn, pairsRuled, type Agreed } from './agreed'
import { saying } from './saying'

/** How far those agreed who ruled the same titles and abstracts. */
export const titlesAgreed = saying<Agreed>({
  family: 'agreement on titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  core: true,
  finds: {
    when: { together: (c) => pairsRuled(c, 'broad') },
    found: (c) => agreedOn(c, 'broad'),
  },
})
