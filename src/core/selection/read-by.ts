import type { OrderTaken, PassName, ReadingOrder, Review } from '../review'
import { askedBy, differ } from './asks-again'
import type { OwnRulings } from './standing'

/** What rulings were made on: the questions as they stand, others, or it was not noted. */
export type AskedThese = 'these' | 'others' | 'not noted'

/** Works of a pass of which the same is to be told: who read each, on which questions, in which order it was shown. */
export interface ReadRow {
  /** The ids of all who ruled each of them having read it, sorted. */
  readers: readonly string[]
  asked: AskedThese
  /** The order in force when the first of them was made; undefined where it is not known what that reader was shown. */
  order: ReadingOrder | undefined
  count: number
}

/** The same as counts by a key, which can be added up. */
export type ReadCounts = Readonly<Record<string, number>>

type Of = Pick<Review, 'criteria' | 'orders'>

/** What is known of a review that rulings are held against: reckoned once, used for each work. */
export interface ReadAgainst {
  wording: Record<PassName, Readonly<Record<string, string>>>
  orders: readonly OrderTaken[]
}

export const readAgainst = ({ criteria, orders = [] }: Of): ReadAgainst => ({
  wording: { broad: askedBy({ criteria }, 'broad').wording, close: askedBy({ criteria }, 'close').wording },
  orders,
})

/** The key under which a work counts in a pass; undefined where nobody read it there. */
export function readKey(
  own: OwnRulings | undefined,
  pass: PassName,
  against: ReadAgainst,
): string | undefined {
  const readers: string[] = []
  let asked: AskedThese = 'these'
  let order: { at: string; shown: ReadingOrder } | undefined
  for (const name in own) {
    const r = own[name]!
    if (r.pass !== pass || r.unread) continue
    readers.push(r.reader)
    if (!r.asked) {
      if (Object.keys(against.wording[pass]).length) asked = 'not noted'
    } else if (asked === 'these' && differ(r.asked, against.wording[pass])) asked = 'others'
    const at = r.first?.at ?? r.at ?? ''
    const shown = shownIn({ at, reader: r.reader }, pass, against.orders)
    if (shown && (!order || at < order.at)) order = { at, shown }
  }
  if (!readers.length) return undefined
  return JSON.stringify([pass, asked, order?.shown ?? '', ...readers.sort()])
}

/**
 * The order in which works were shown to a reader at a time. Orders are chosen in the browser of whoever keeps the review:
 * what another one was shown in theirs is not known.
 */
function shownIn(
  { at, reader }: { at: string; reader: string },
  pass: PassName,
  orders: readonly OrderTaken[],
): ReadingOrder | undefined {
  const own = orders.filter((o) => o.pass === pass)
  if (!own.some((o) => o.by === reader)) return undefined
  return own.findLast((o) => o.at <= at)?.order ?? 'source'
}

/** The rows of a pass, by their keys. */
export const readRows = (counts: ReadCounts, pass: PassName): ReadRow[] =>
  Object.entries(counts).flatMap(([key, count]) => {
    const [of, asked, order, ...readers] = JSON.parse(key) as [string, AskedThese, string, ...string[]]
    return of === pass && count
      ? [{ readers, asked, order: (order || undefined) as ReadingOrder | undefined, count }]
      : []
  })
