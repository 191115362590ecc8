import { messageOf } from '@/core/base'
import type { App } from 'antd'
import type { FactContext } from '@/core/account'
import type { Line } from '@/core/review'
import type { Store } from '@/store/store'
import { addLine } from '../add-line'
import type { Sheet } from '../use-sheet'

/** What the actions of a sheet need beside the sheet itself. */
export type Means = Pick<ReturnType<typeof App.useApp>, 'message' | 'modal'> & {
  store: Store
  context: FactContext
}

/** Nothing is under way. */
export const idle = ({ busy }: Sheet): boolean => busy === undefined

/** A line is chosen and nothing is under way. */
export const some = (sheet: Sheet): boolean => sheet.chosen !== undefined && idle(sheet)

/** Puts a line into the sheet, at the end unless `at` says where, and chooses it; gives its id. */
export function put(
  { store }: Means,
  { info, lines, set }: Sheet,
  text: string,
  more: Partial<Line> = {},
  at = lines.length,
): string {
  const id = addLine(store, info.source.id, lines, text, more, at)
  set.choose(id)
  return id
}

/** Does what takes a while: says what is under way, can be stopped, and says so if it fails. */
export const work =
  (
    { store, message }: Means,
    { set }: Sheet,
    words: string,
    job: (stopped: () => boolean, show: (now: string) => void) => Promise<unknown>,
  ) =>
  (): void => {
    let stopped = false
    const stop = (): void => {
      stopped = true
    }
    const show = (now: string): void => set.busy({ words: now, stop })
    show(words)
    store.deed(
      job(() => stopped, show)
        .catch((error: unknown) => message.error(messageOf(error)))
        .finally(() => set.busy(undefined)),
    )
  }
