import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const deposited: Words<FoundOf<'deposited'>> = {
  says: () => [
    'The record of this review, with every search as it was run, was deposited on {deposit.day} at {deposit.address}.',
    'Deposited on {deposit.day} at {deposit.address} is the record of this review, with every search as it was run.',
  ],
}
