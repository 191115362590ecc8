import type { Action } from '@/page/actions'

/** Of a list where a page of it is not to be seen: so many rows. */
const PAGE = 10

interface Listed {
  /** Names of the actions begin with it. */
  id: string
  /** What one on and one back are called, and what a row is. */
  next: string
  before: string
  row: string
  /** The place of the row that is chosen; -1: none is. */
  at: number
  count: number
  go: (to: number) => void
}

/** Through a list by keys: a row on and back, ten rows, to the first and to the last. */
export function listSteps({ id, next, before, row, at, count, go }: Listed): Action[] {
  const to = (place: number): number => Math.max(0, Math.min(count - 1, place))
  const more = (): boolean => at < count - 1
  const less = (): boolean => at > 0
  return [
    { id: `${id}-next`, label: next, key: 'ArrowDown', when: more, run: () => go(to(at + 1)) },
    { id: `${id}-before`, label: before, key: 'ArrowUp', when: less, run: () => go(to(at - 1)) },
    { id: `${id}-on`, label: `Ten on: ${row}`, key: 'PageDown', when: more, run: () => go(to(at + PAGE)) },
    { id: `${id}-back`, label: `Ten back: ${row}`, key: 'PageUp', when: less, run: () => go(to(at - PAGE)) },
    { id: `${id}-first`, label: `First ${row}`, key: 'Home', when: less, run: () => go(0) },
    { id: `${id}-last`, label: `Last ${row}`, key: 'End', when: more, run: () => go(count - 1) },
  ]
}
