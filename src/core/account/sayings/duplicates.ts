import { saying } from './saying'

/** How records of one work were found. */
export const duplicates = saying<{ rules: number | undefined; byHand: number; open: number }>({
  family: 'duplicates',
  place: { theme: 'screened', phase: 'screened', stage: 'records' },
  finds: {
    when: {
      looked: ({ review, figures }) => review.partition !== undefined || figures.settledByHand > 0,
      brought: ({ figures }) => figures.identified > 0,
    },
    found: ({ review, figures }) => ({
      rules: review.partition?.rules,
      byHand: figures.settledByHand,
      open: figures.pairsToSettle,
    }),
  },
})
