import type { Inline } from '../document'
import { labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from './tree'

const escapeMark = (text: string): string => text.replace(/([\\`*_[\]<>])/g, '\\$&')

function inline(node: Inline, notes: string[]): string {
  if (node.type === 'footnote') return `[^${notes.push(node.attrs.words)}]`
  if (node.type !== 'text') return ''
  const marks = node.marks?.map((m) => m.type) ?? []
  const sign = (marks.includes('bold') ? '**' : '') + (marks.includes('italic') ? '*' : '')
  const [, before = '', inner = '', after = ''] = /^(\s*)(.*?)(\s*)$/s.exec(node.text) ?? []
  return inner && sign
    ? before + sign + escapeMark(inner) + [...sign].reverse().join('') + after
    : escapeMark(node.text)
}
const inlinesWith =
  (notes: string[]) =>
  (content: Cell): string =>
    content.map((node) => inline(node, notes)).join('')
/** Within a table a bar would end the cell, and a line cannot be broken. */
const inCell = (text: string): string => text.replace(/\|/g, '\\|').replace(/\s*\n\s*/g, ' ')

function block(b: Block, label: string, notes: string[]): string {
  const inlines = inlinesWith(notes)
  switch (b.kind) {
    case 'heading':
      return `${'#'.repeat(b.level + 1)} ${inlines(b.content)}`
    case 'paragraph':
      return inlines(b.content)
    case 'list':
      return b.items.map((item, n) => `${b.ordered ? `${n + 1}.` : '-'} ${inlines(item)}`).join('\n')
    case 'quote':
      return b.content.map((c) => `> ${inlines(c)}`).join('\n>\n')
    case 'table': {
      const row = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`
      return [
        ...(label ? [`${label} *${escapeMark(wordsOfCell(b.caption))}*\n`] : []),
        row(b.head.map((h) => escapeMark(h).replace(/\|/g, '\\|'))),
        row(b.head.map(() => '---')),
        ...b.rows.map((r) => row(r.map((c) => inCell(inlines(c))))),
        ...(b.notes ?? []).map((note) => `\n${inlines(note)}`),
      ].join('\n')
    }
    case 'figure':
      return `${label} *${escapeMark(wordsOfCell(b.caption))}*\n\n${escapeMark(b.alt)}`
  }
}

/** A document as Markdown with tables; a figure stands in words. */
export function toMarkdown(tree: DocumentTree): string {
  const labels = labelsOf(tree)
  const notes: string[] = []
  const blocks = tree.blocks.map((b) => block(b, labels.get(b) ?? '', notes))
  const foot = notes.map((words, n) => `[^${n + 1}]: ${escapeMark(words).replace(/\s*\n\s*/g, ' ')}`)
  return `${[`# ${escapeMark(tree.title)}`, ...blocks, ...foot].join('\n\n')}\n`
}
