'use client'
import { Select } from 'antd'
import type { ReadingOrder } from '@/core/review'
import type { Sureness } from '@/core/selection'
import { leaveChoice } from '@/page/leave-field'
import type { Order } from './use-order'

const ORDERS: Record<ReadingOrder, string> = {
  source: 'as they came',
  year: 'newest first',
  chance: 'by chance',
  likely: 'likely in first',
}
/** "83 of 100 pairs (with 95 % confidence 74 to 92)". */
const surely = ({ of, interval }: Sureness): string => {
  const [most, low, high] = [of, ...interval].map((n) => Math.round(n * 100))
  return `${most} of 100 pairs (with 95 % confidence ${low} to ${high})`
}

/** The order in which works are read, chosen; of what is likely in first, how sure that is. */
export function OrderChoice({ order }: { order: Order }) {
  return (
    <>
      <label className="pass-choice">
        <span className="sub">Order</span>
        <Select
          size="small"
          variant="borderless"
          aria-label="Order of reading"
          value={order.chosen}
          popupMatchSelectWidth={false}
          options={(Object.keys(ORDERS) as ReadingOrder[]).map((value) => ({
            value,
            label:
              value === 'likely' && order.likelyFrom
                ? `${ORDERS[value]} (${order.likelyFrom})`
                : ORDERS[value],
            disabled: value === 'likely' && order.likelyFrom !== undefined,
          }))}
          onChange={(chosen: ReadingOrder) => {
            order.choose(chosen)
            leaveChoice()
          }}
        />
      </label>
      {order.chosen === 'likely' && (
        <p className="sub">
          An order, never a verdict.{' '}
          {order.sure === undefined
            ? 'How sure it is cannot be told yet.'
            : `So far it puts a work that is in before one that is out in ${surely(order.sure)}; chance would in 50.`}{' '}
          <button className="plain link" onClick={() => order.choose('likely')}>
            Learn anew
          </button>
        </p>
      )}
    </>
  )
}
