import type { Review, Ruled } from '../review'
import { rulesOf, type Flow, type FlowColumn, type PassCounts } from '../selection'
import { firstAgreementIn, type FirstAgreement } from './agreement-1'
import { figuresOf, type Figures } from './figures'
import { tallyOf } from './tally'

type Columns1 = Omit<FlowColumn, 'toSettle' | 'closeToSettle' | 'notLooked' | 'noText'>
type Counts1 = Omit<PassCounts, 'toSettle'>
/** The figures as version 1 told them. */
export interface Figures1 extends Omit<
  Figures,
  'broad' | 'close' | 'flow' | 'agreements' | 'reasonsDiffer' | 'settled' | 'read' | 'knownOutside'
> {
  broad: Counts1
  close: Counts1
  flow: Omit<Flow, 'rounds' | 'noticed'> & {
    rounds: (Omit<Flow['rounds'][number], 'columns'> & { columns: Columns1[] })[]
  }
  agreement: FirstAgreement | undefined
}

/**
 * Frozen. Version 1 knew no works that are to be settled, no texts that nobody had looked for, and no place for reasons that
 * differ: that of the reader whose id comes first counted.
 */
export function figures1Of(review: Review, ruled: Ruled): Figures1 {
  const tally = tallyOf(review, ruled, { ...rulesOf(review), reasons: 'first named' })
  const {
    agreements: _agreements,
    reasonsDiffer: _differ,
    settled: _settled,
    read: _read,
    knownOutside: _outside,
    ...figures
  } = figuresOf(review, ruled, tally)
  const counts = ({ toSettle: _, ...all }: PassCounts): Counts1 => all
  const column = ({
    toSettle: _a,
    closeToSettle: _b,
    notLooked,
    noText: _c,
    ...all
  }: FlowColumn): Columns1 => ({
    ...all,
    awaited: all.awaited + notLooked,
  })
  const { noticed: _noticed, ...flow } = figures.flow
  return {
    ...figures,
    broad: counts(figures.broad),
    close: counts(figures.close),
    flow: {
      ...flow,
      rounds: figures.flow.rounds.map((r) => ({ ...r, columns: r.columns.map(column) })),
    },
    agreement: firstAgreementIn(ruled),
  }
}
