import { listed } from '../../../base'
import type { ReadingOrder } from '../../../review'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

const ORDER: Readonly<Record<ReadingOrder, string>> = {
  source: 'as they came',
  year: 'from the newest to the oldest',
  chance: 'in an order of chance',
  likely: 'with those first that were most like the ones already kept',
}

export const titlesOrder: Words<FoundOf<'titles-order'>> = {
  says: ({ orders, unknown }) => {
    const [only] = orders
    if (orders.length === 1 && only && !unknown)
      return [`Works were shown ${ORDER[only.order]}.`, `They were shown ${ORDER[only.order]}.`]
    const parts = orders.map(
      (o, n) =>
        `${fact('shown.in', o.order)} ${n ? '' : `${o.works === 1 ? 'was' : 'were'} shown `}${ORDER[o.order]}`,
    )
    const rest = unknown ? `; of ${fact('shown.unknown')} it is not known` : ''
    return [`Of these works, ${listed(parts)}${rest}.`, `Among these works, ${listed(parts)}${rest}.`]
  },
}
