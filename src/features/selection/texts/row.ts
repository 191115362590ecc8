import type { Rec } from '@/core/records'
import type { Retrieval } from '@/core/review'

/** A work whose full text is sought, and where that stands. */
export interface Row {
  id: string
  record: Rec
  state: Retrieval['state'] | undefined
  due: string | undefined
  retrieval: Retrieval | undefined
}

/** A loan that should be back. */
export const isOverdue = (row: Row, today: string): boolean =>
  row.state === 'loan asked' && row.due !== undefined && row.due < today
