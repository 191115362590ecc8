import { useMemo } from 'react'
import { namesHeld } from '@/core/base'
import { chooseOrder } from '@/core/doing'
import type { OrderChosen, PassName, Work } from '@/core/review'
import { OFFERED_FROM, type Sureness } from '@/core/selection'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { recordsDesk } from '@/workers'
import type { Selected } from '../use-selected'

export interface Order {
  chosen: OrderChosen['order']
  works: readonly Work[]
  /** Of the order of what is likely in: how often it would put a work that is in before one that is out. */
  sure: Sureness | undefined
  /** May what is likely in come first? It takes so many rulings. */
  likelyFrom: string | undefined
  choose: (order: OrderChosen['order']) => void
}

/** What was said of works so far, as far as an order can be learnt from it. */
export function learnable({ works, placed }: Selected): Record<string, 'in' | 'out'> {
  const said: Record<string, 'in' | 'out'> = {}
  for (const { id } of works) {
    const { verdict, unread } = placed(id).broad
    if ((verdict === 'in' || verdict === 'out') && !unread) said[id] = verdict
  }
  return said
}

/** The works of a pass in the order in which they are read; what was chosen last in the journal holds. */
export function useOrder(pass: PassName, selected: Selected): Order {
  const { doIt, deed } = useStore()
  const { review, works } = selected
  const last = review.orders?.findLast((o) => o.pass === pass)
  const order = last?.order ?? 'source'
  const counts = useMemo(() => enoughOf(selected), [selected])
  // What was learnt holds until it is asked for again: the next work must not change while one reads.
  const { value } = useAsked(
    () =>
      works.length
        ? recordsDesk().readingOrder(order, last?.seed ?? '', order === 'likely' ? learnable(selected) : {})
        : undefined,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what was ruled since changes the order only when it is asked for
    [works, order, last?.seed, last?.at],
    { keep: true },
  )
  const inOrder = useMemo(() => {
    if (!value) return works
    const byId = new Map(works.map((w) => [w.id, w]))
    const found = value.ids.flatMap((id) => byId.get(id) ?? [])
    return found.length === works.length ? found : works
  }, [value, works])
  const missing = {
    in: Math.max(0, OFFERED_FROM.in - counts.in),
    out: Math.max(0, OFFERED_FROM.out - counts.out),
  }
  return {
    chosen: order,
    works: inOrder,
    sure: value?.sure,
    likelyFrom:
      missing.in || missing.out
        ? `after ${missing.in ? `${missing.in} more in` : ''}${missing.in && missing.out ? ' and ' : ''}${missing.out ? `${missing.out} more out` : ''}`
        : undefined,
    choose: (chosen) => deed(doIt(chooseOrder, { pass, order: chosen })),
  }
}

/** How many works were ruled in and out, counted as far as an order needs them. */
function enoughOf({ ruled, placed }: Selected): { in: number; out: number } {
  const counts = { in: 0, out: 0 }
  for (const id of namesHeld(ruled.byWork)) {
    const { verdict, unread } = placed(id).broad
    if ((verdict === 'in' || verdict === 'out') && !unread) counts[verdict]++
    if (counts.in >= OFFERED_FROM.in && counts.out >= OFFERED_FROM.out) break
  }
  return counts
}
