import type { Grouped } from '../grouped'
import { SAYINGS, type ToldSaying } from '../../sayings'
import { toldAs } from './told-as'

const told = (sayings: readonly ToldSaying[], theme: 'screened' | 'judged', on: string): Grouped[] =>
  toldAs(
    sayings.filter((s) => SAYINGS[s.saying].place.theme === theme && s.saying !== 'deposited'),
    [on],
  )

/** What came back, who read it by which questions, and how far readers agreed. */
export const screening = (sayings: readonly ToldSaying[]): Grouped[] =>
  told(sayings, 'screened', 'brought in')

/** The full texts, what became of them, and what an update brought. */
export const judging = (sayings: readonly ToldSaying[]): Grouped[] => told(sayings, 'judged', 'rulings')
