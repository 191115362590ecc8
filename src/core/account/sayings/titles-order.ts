import type { ReadingOrder } from '../../review'
import type { FactContext } from '../facts'
import { saying } from './saying'

/** So many works were shown in an order. */
export interface ShownIn {
  order: ReadingOrder
  works: number
}

/** In which orders works were shown when they were first ruled, as they were chosen; where it is known. */
function shown({ figures, review }: FactContext): ShownIn[] {
  const counts = new Map<ReadingOrder, number>()
  for (const { order, count } of figures.read.broad)
    if (order) counts.set(order, (counts.get(order) ?? 0) + count)
  const chosen: ReadingOrder[] = [
    'source',
    ...(review.orders ?? []).flatMap((o) => (o.pass === 'broad' ? [o.order] : [])),
  ]
  return [...new Set(chosen)].flatMap((order) => {
    const works = counts.get(order)
    return works ? [{ order, works }] : []
  })
}

/** The order in which titles and abstracts were shown. As they came is an order only beside another one. */
export const titlesOrder = saying<{ orders: ShownIn[]; unknown: number }>({
  family: 'order of titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  finds: {
    when: { chosen: (c) => shown(c).some((s) => s.order !== 'source') },
    found: (c) => {
      const orders = shown(c)
      const all = c.figures.read.broad.reduce((n, r) => n + r.count, 0)
      return { orders, unknown: all - orders.reduce((n, o) => n + o.works, 0) }
    },
  },
})
