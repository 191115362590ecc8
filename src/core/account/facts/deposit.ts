import type { PackageDeposited } from '../../review'
import { dateWords } from '../words'
import { MISSING, type Reader } from './fact'

const last =
  (words: (d: PackageDeposited) => string): Reader =>
  ({ review }) => {
    const found = review.deposits?.at(-1)
    return {
      text: found ? words(found) : MISSING,
      missing: !found,
      stage: 'methods',
      from: 'where the record was deposited',
    }
  }

/** Facts of where the record of the review lies. */
export const DEPOSIT = {
  'deposit.address': last((d) => d.address),
  'deposit.day': last((d) => dateWords(d.day)),
} satisfies Record<string, Reader>
