import type { Evidence } from '../../claims'
import { SAYINGS, type Saying, type ToldSaying } from '../../sayings'
import type { Grouped } from '../grouped'

/** Sayings as they are told in their parts, with what they rest on. */
export const toldAs = (sayings: readonly ToldSaying[], on: Evidence): Grouped[] =>
  sayings.map((s): Grouped => {
    const { place, core } = SAYINGS[s.saying] as Saying<unknown>
    return { tells: 'saying', ...place, on, ...(core ? { core } : {}), ...s }
  })
