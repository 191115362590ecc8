import { App } from 'antd'
import { useMemo } from 'react'
import { flushSync } from 'react-dom'
import type { Review } from '@/core/review'
import type { Action } from '@/page/actions'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { saveGrid, type GridFile } from './grid-files'
import { focusPane, PANES, type Pane } from './terms-panes'
import { sameCell, type Cell } from './term-grid'

/** What can be done at the grid: going from cell to cell, opening what stands below it, files. */
export function useGridActions({
  review,
  cells,
  cell,
  columns,
  choose,
  setPane,
  importVocabulary,
}: {
  review: Review
  cells: readonly Cell[]
  cell: Cell
  columns: readonly SourceInfo[]
  choose: (cell: Cell | undefined) => void
  setPane: (pane: Pane) => void
  importVocabulary: () => void
}): Action[] {
  const { deed } = useStore()
  const { message } = App.useApp()
  return useMemo<Action[]>(() => {
    const move = (right: number, down: number) => (): void => {
      const width = columns.length + 1
      const at = cells.findIndex((c) => sameCell(c, cell))
      const x = Math.max(0, Math.min(width - 1, (at % width) + right))
      const y = Math.max(0, Math.min(review.concepts.length - 1, Math.floor(at / width) + down))
      choose(cells[y * width + x])
    }
    // Drawn and focused before the next key comes, so that no letter of what is typed gets lost.
    const show = (id: Pane): void => {
      flushSync(() => setPane(id))
      focusPane(id)
    }
    const save = (as: GridFile) => (): void =>
      deed(saveGrid(review, as).catch((error: unknown) => message.error(String(error))))
    return [
      {
        id: 'terms-look',
        label: 'Look up or type',
        key: '/',
        strip: true,
        run: () => show('terms'),
      },
      {
        id: 'terms-chips',
        label: 'Into the terms of the cell',
        key: 'Enter',
        strip: true,
        when: () => document.querySelector('.grid td.on .chip') !== null,
        run: () => document.querySelector<HTMLElement>('.grid td.on .chip')?.focus(),
      },
      { id: 'terms-left', label: 'Cell to the left', key: 'ArrowLeft', run: move(-1, 0) },
      { id: 'terms-right', label: 'Cell to the right', key: 'ArrowRight', run: move(1, 0) },
      { id: 'terms-up', label: 'Cell above', key: 'ArrowUp', run: move(0, -1) },
      { id: 'terms-down', label: 'Cell below', key: 'ArrowDown', run: move(0, 1) },
      ...PANES.map((p) => ({
        id: `terms-pane-${p.id}`,
        label: p.label,
        key: p.key,
        strip: p.id === 'harvest',
        run: () => show(p.id),
      })),
      {
        id: 'vocabulary-import',
        label: 'Bring in a vocabulary from a file',
        key: 'V',
        run: importVocabulary,
      },
      { id: 'grid-csv', label: 'Save the grid as a table (CSV)', run: save('csv') },
      { id: 'grid-word', label: 'Save the plan as a worksheet (Word)', run: save('docx') },
      { id: 'grid-markdown', label: 'Save the plan as a worksheet (Markdown)', run: save('md') },
    ]
  }, [importVocabulary, columns.length, cells, review, cell, choose, setPane, deed, message])
}
