import { timesIn } from './days'

/** Where the record is said to lie, and since which day. */
export interface Deposited {
  day: string
  address: string
}

const RECORD = 'he record of this review, with every search as it was run'

export function deposited(sentence: string): Deposited | undefined {
  const a = new RegExp(`^T${RECORD}, was deposited on (\\d+ \\w+ \\d{4}) at (.+)\\.$`).exec(sentence)
  const b = new RegExp(`^Deposited on (\\d+ \\w+ \\d{4}) at (.+) is t${RECORD}\\.$`).exec(sentence)
  const found = a ?? b
  const day = found && timesIn(`on ${found[1]!}`)?.[0]?.first
  return found && day ? { day, address: found[2]! } : undefined
}
