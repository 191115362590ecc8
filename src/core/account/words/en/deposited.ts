import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const deposited: Words<FoundOf<'deposited'>> = {
  says: () => [
    `The record of this review, with every search as it was run, was deposited on ${fact('deposit.day')} at ${fact('deposit.address')}.`,
    `Deposited on ${fact('deposit.day')} at ${fact('deposit.address')} is the record of this review, with every search as it was run.`,
  ],
}
