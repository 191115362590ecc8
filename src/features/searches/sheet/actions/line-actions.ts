import { chooseCounts, putLine, takeLinesOut } from '@/core/doing'
import { countingLine, dependsOn, moveLine } from '@/core/strategy'
import type { Action } from '@/page/actions'
import { listSteps } from '../../../shared/list-steps'
import type { Sheet } from '../use-sheet'
import { put, some, type Means } from './means'

/** Takes lines out, after asking where others would refer to nothing. */
function removal({ info, lines, chosen, marked, set }: Sheet, { store, modal }: Means): void {
  const ids = marked.size ? marked : new Set([chosen!.id])
  const others = dependsOn(lines, ids)
  const take = (all: Iterable<string>): void => {
    store.deed(store.doIt(takeLinesOut, { sourceId: info.source.id, ids: [...all] }))
    set.mark(new Set())
  }
  if (!others.length) return take(ids)
  modal.confirm({
    title: `${others.length === 1 ? 'Line' : 'Lines'} ${others.map((n) => `#${n}`).join(', ')} ${others.length === 1 ? 'depends' : 'depend'} on this`,
    content: 'They would refer to nothing. Take them out as well, or leave everything and change them first.',
    okText: `Take out all ${ids.size + others.length}`,
    cancelText: 'Leave everything',
    onOk: () => take([...ids, ...others.map((n) => lines[n - 1]!.id)]),
  })
}

/** Choosing, writing, moving and removing lines. */
export function lineActions(sheet: Sheet, means: Means) {
  const { review, info, lines, chosen, at, set } = sheet
  const counting = countingLine(review, info.source.id)?.id
  const { store, message } = means
  const below = at < 0 ? lines.length : at + 1
  const move = (step: -1 | 1) => (): void => {
    const moved = moveLine(lines, at, at + step)
    if (!moved.ok) return store.deed(message.info(moved.problems[0]!.message))
    store.deed(store.doIt(putLine, { sourceId: info.source.id, id: chosen!.id, to: at + step }))
  }
  return {
    edit: {
      id: 'line-edit',
      label: 'Edit',
      key: 'Enter',
      strip: true,
      when: () => some(sheet),
      run: () => set.edit(chosen?.id),
    },
    add: {
      id: 'line-new',
      label: 'New line',
      key: 'N',
      strip: true,
      run: () => set.edit(put(means, sheet, '', {}, below)),
    },
    describe: {
      id: 'line-described',
      label: 'A search without text: a form, a drawn structure, a journal browsed',
      key: 'W',
      run: () => set.edit(put(means, sheet, '', { described: '' }, below)),
    },
    remove: {
      id: 'line-remove',
      label: 'Take lines out',
      key: 'Delete',
      when: () => some(sheet),
      run: () => removal(sheet, means),
    },
    moveUp: {
      id: 'line-move-up',
      label: 'Move the line up',
      key: 'Shift+ArrowUp',
      when: () => some(sheet) && at > 0,
      run: move(-1),
    },
    moveDown: {
      id: 'line-move-down',
      label: 'Move the line down',
      key: 'Shift+ArrowDown',
      when: () => some(sheet) && at < lines.length - 1,
      run: move(1),
    },
    counts: {
      id: 'line-counts',
      label: 'This line is what the search found',
      key: 'S',
      when: () => some(sheet) && chosen?.described === undefined && chosen?.id !== counting,
      run: () => store.deed(store.doIt(chooseCounts, { sourceId: info.source.id, lineId: chosen!.id })),
    },
  } satisfies Record<string, Action>
}

/** Ways through the lines. */
export const lineSteps = ({ lines, at, set }: Sheet): Action[] =>
  listSteps({
    ...{ id: 'line', next: 'Line below', before: 'Line above', row: 'line' },
    ...{ at, count: lines.length, go: (to) => set.choose(lines[to]?.id) },
  })
