import { saying } from './saying'

/** Of how many studies the included works are reports, where that are fewer. */
export const studies = saying<{ included: number }>({
  family: 'studies',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  finds: {
    when: { bound: ({ figures }) => figures.flow.studies !== figures.flow.included },
    found: ({ figures }) => ({ included: figures.flow.included }),
  },
})
