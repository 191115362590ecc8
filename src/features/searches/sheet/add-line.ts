import { addLine as add } from '@/core/doing'
import type { Store } from '@/store/store'
import type { Line } from '@/core/review'

/** Puts a new line into a strategy, at the end unless `at` says where; gives its id. */
export function addLine(
  store: Store,
  sourceId: string,
  lines: readonly Line[],
  text: string,
  more: Partial<Line> = {},
  at = lines.length,
): string {
  const { newId, deed, doIt } = store
  const id = newId()
  deed(
    doIt(add, {
      sourceId,
      line: { id, text, limits: [], note: '', drafted: false, ...more },
      at,
    }),
  )
  return id
}
