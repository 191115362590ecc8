import type { Inline, Passage } from '../document'

/** Words for a fact; the caller looks them up in the record. */
export type FactWords = (ref: string) => string

const escapeMark = (text: string): string => text.replace(/([\\`*_[\]<>])/g, '\\$1')

function inline(node: Inline, words: FactWords): string {
  if (node.type === 'fact') return escapeMark(words(node.attrs.ref))
  const marks = node.marks?.map((m) => m.type) ?? []
  const sign = (marks.includes('bold') ? '**' : '') + (marks.includes('italic') ? '*' : '')
  const [, before = '', inner = '', after = ''] = /^(\s*)(.*?)(\s*)$/s.exec(node.text) ?? []
  return inner && sign
    ? before + sign + escapeMark(inner) + [...sign].reverse().join('') + after
    : escapeMark(node.text)
}

interface Block {
  type: string
  content?: unknown[]
}

function block(node: Block, words: FactWords, indent = ''): string {
  const children = (node.content ?? []) as Block[]
  switch (node.type) {
    case 'bulletList':
    case 'orderedList':
      return children
        .map((item, i) => {
          const sign = node.type === 'bulletList' ? '- ' : `${i + 1}. `
          return (
            indent +
            sign +
            ((item.content ?? []) as Block[])
              .map((b) => block(b, words, indent + '  ').trimStart())
              .join('\n')
          )
        })
        .join('\n')
    case 'blockquote':
      return children.map((b) => `> ${block(b, words)}`).join('\n>\n')
    default:
      return indent + (children as unknown as Inline[]).map((n) => inline(n, words)).join('')
  }
}

/** The account as Markdown: a heading for each passage that says something. Facts are written out as they read now. */
export function toMarkdown(title: string, passages: readonly Passage[], words: FactWords): string {
  const parts = [`# ${escapeMark(title)}`]
  for (const passage of passages) {
    if (!passage.content.length) continue
    parts.push(`## ${escapeMark(passage.title)}`, ...passage.content.map((b) => block(b, words)))
  }
  return parts.join('\n\n') + '\n'
}
