import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import { are, database } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

const EVERY = {
  month: 'every month',
  'three months': 'every three months',
  'half year': 'every six months',
  year: 'every year',
} as const

export const searchAgain: Words<FoundOf<'search-again'>> = {
  says: ({ plans, all }) => {
    const [first, ...others] = plans
    if (!first) return []
    const names = (ids: readonly string[]): string => listed(ids.map(database))
    const when = ({ every, sourceIds: [one] }: (typeof plans)[number]): string =>
      `${EVERY[every]}, next on ${fact('again.next', one)}`
    const rest = others.map(
      (p) => `; ${p.sourceIds.length === 1 ? 'that' : 'those'} of ${names(p.sourceIds)} ${when(p)}`,
    )
    const { sourceIds: ids } = first
    const searches = all ? 'all searches' : `the ${ids.length === 1 ? 'search' : 'searches'} of ${names(ids)}`
    const begun = searches.charAt(0).toUpperCase() + searches.slice(1)
    return [
      `${begun} ${are(ids.length)} to be run again ${when(first)}${rest.join('')}.`,
      `To be run again ${when(first)} ${are(ids.length)} ${searches}${rest.join('')}.`,
    ]
  },
}
