import type { Line } from '@/core/review'
import { act, newId } from '@/store/session'

/** Puts a new line into a strategy, at the end unless `at` says where; gives its id. */
export function addLine(
  sourceId: string,
  lines: readonly Line[],
  text: string,
  more: Partial<Line> = {},
  at = lines.length,
): string {
  const id = newId()
  void act('line.add', {
    sourceId,
    line: { id, text, limits: [], note: '', drafted: false, ...more },
    at,
  })
  return id
}
