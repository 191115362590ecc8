'use client'
import { Extension, Node, type Editor } from '@tiptap/core'
import type { Node as DocNode } from '@tiptap/pm/model'
import { addRowAfter, goToNextCell, isInTable, tableEditing } from '@tiptap/pm/tables'
import {
  NodeViewContent,
  NodeViewWrapper,
  ReactNodeViewRenderer,
  type ReactNodeViewProps,
} from '@tiptap/react'
import { useTarget } from './targets'

/** What each part of a table is to the code that edits tables. */
const ROLES: Readonly<Record<string, string>> = {
  table: 'table',
  tableRow: 'row',
  tableCell: 'cell',
  tableHeader: 'header_cell',
}

const CELL = {
  content: 'paragraph',
  isolating: true,
  addAttributes: () => ({ colspan: { default: 1 }, rowspan: { default: 1 }, colwidth: { default: null } }),
}

/** A table with its caption, by whose id it can be referred to. */
const TableBlock = Node.create({
  name: 'tableBlock',
  group: 'block',
  content: 'tableCaption table',
  isolating: true,
  addAttributes: () => ({ id: { default: '', parseHTML: (el) => el.getAttribute('data-table') } }),
  parseHTML: () => [{ tag: 'figure[data-table]' }],
  renderHTML: ({ node }) => ['figure', { 'data-table': String(node.attrs.id) }, 0],
})

const TableCaption = Node.create({
  name: 'tableCaption',
  content: 'inline*',
  isolating: true,
  parseHTML: () => [{ tag: 'figcaption' }],
  renderHTML: () => ['figcaption', 0],
  addNodeView: () => ReactNodeViewRenderer(CaptionView),
})

const Table = Node.create({
  name: 'table',
  content: 'tableRow+',
  isolating: true,
  parseHTML: () => [{ tag: 'table' }],
  renderHTML: () => ['table', ['tbody', 0]],
})

const TableRow = Node.create({
  name: 'tableRow',
  content: '(tableCell | tableHeader)*',
  parseHTML: () => [{ tag: 'tr' }],
  renderHTML: () => ['tr', 0],
})

const TableCell = Node.create({
  ...CELL,
  name: 'tableCell',
  parseHTML: () => [{ tag: 'td' }],
  renderHTML: () => ['td', 0],
})

const TableHeader = Node.create({
  ...CELL,
  name: 'tableHeader',
  parseHTML: () => [{ tag: 'th' }],
  renderHTML: () => ['th', 0],
})

/** From cell to cell by Tab; behind the last one there is a new row. */
const TableKeys = Extension.create({
  name: 'tableKeys',
  extendNodeSchema: ({ name }: { name: string }) => (ROLES[name] ? { tableRole: ROLES[name] } : {}),
  addProseMirrorPlugins: () => [tableEditing()],
  addKeyboardShortcuts() {
    const { editor } = this
    return {
      Tab: () => {
        const { state, view } = editor
        if (!isInTable(state)) return false
        return (
          goToNextCell(1)(state, view.dispatch) ||
          (addRowAfter(state, view.dispatch) && goToNextCell(1)(view.state, view.dispatch))
        )
      },
      'Shift-Tab': () => isInTable(editor.state) && goToNextCell(-1)(editor.state, editor.view.dispatch),
    }
  },
})

export const TABLES = [TableBlock, TableCaption, Table, TableRow, TableCell, TableHeader, TableKeys]

const cells = (type: string, count: number): object[] =>
  Array.from({ length: count }, () => ({ type, content: [{ type: 'paragraph' }] }))

/** Puts a table of three columns behind what is being written, with its caption to be written first. */
export function putTable(editor: Editor, id: string): void {
  const rows = ['tableHeader', 'tableCell', 'tableCell'].map((type) => ({
    type: 'tableRow',
    content: cells(type, 3),
  }))
  const { $to } = editor.state.selection
  editor
    .chain()
    .focus()
    .insertContentAt($to.depth ? $to.after(1) : $to.pos, {
      type: 'tableBlock',
      attrs: { id },
      content: [{ type: 'tableCaption' }, { type: 'table', content: rows }],
    })
    .command(({ tr, commands }) => {
      let at: number | undefined
      tr.doc.descendants((node: DocNode, pos: number) => {
        if (node.type.name === 'tableBlock' && node.attrs.id === id) at = pos + 2
      })
      return at === undefined || commands.setTextSelection(at)
    })
    .run()
}

/** Takes away the table in which the cursor is, with its caption. */
export const dropTable = (editor: Editor): boolean => editor.chain().focus().deleteNode('tableBlock').run()

/** The caption, behind what the table is called; which follows from the tables before it. */
function CaptionView({ editor, getPos }: ReactNodeViewProps) {
  const pos = getPos()
  const id = pos === undefined ? '' : String(editor.state.doc.resolve(pos).parent.attrs.id ?? '')
  const { label, found } = useTarget(`table:${id}`)
  return (
    <NodeViewWrapper as="div" className="table-caption">
      <span contentEditable={false} className="sub">
        {found ? `${label}. ` : 'Caption: '}
      </span>
      <NodeViewContent<'span'> as="span" className="table-caption-words" />
    </NodeViewWrapper>
  )
}
