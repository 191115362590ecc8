import { isInline, plainTarget, text, wordsOfInline, type Inline } from '../document'

/** A cell of a table: text with facts in it. */
export type Cell = readonly Inline[]

/** A part of a document. Nothing in it knows how it will be written, and no writer knows a review. */
export type Block =
  | { kind: 'heading'; level: 1 | 2 | 3; content: Cell; /** It begins on a new page. */ page?: true }
  | { kind: 'paragraph'; content: Cell; note?: true }
  | { kind: 'list'; ordered: boolean; items: Cell[] }
  | { kind: 'quote'; content: Cell[] }
  | {
      kind: 'table'
      /** By which it can be referred to. */ id?: string
      caption: Cell
      head: string[]
      rows: Cell[][]
      notes?: Cell[]
      /** Columns of query text. */ mono?: number[]
      wide?: true
    }
  | { kind: 'figure'; id?: string; caption: Cell; svg: string; alt: string }

/** A whole document; its tables and figures are numbered in their order, apart from each other. */
export interface DocumentTree {
  title: string
  /** A few pages for one reader: without contents, and across the page where a table is wide. */
  short?: true
  /** Who wrote it, by name, and the day of what it tells last, as a date. */
  authors?: readonly string[]
  day?: string
  blocks: Block[]
}

/** Plain words as a cell. */
export const cell = (words: string): Cell => (words ? [text(words)] : [])

/** The same document with each of its texts changed. */
export function withCells(tree: DocumentTree, change: (content: Cell) => Cell): DocumentTree {
  return {
    ...tree,
    blocks: tree.blocks.map((b): Block => {
      switch (b.kind) {
        case 'heading':
        case 'paragraph':
          return { ...b, content: change(b.content) }
        case 'list':
          return { ...b, items: b.items.map(change) }
        case 'quote':
          return { ...b, content: b.content.map(change) }
        case 'table':
          return {
            ...b,
            caption: change(b.caption),
            rows: b.rows.map((r) => r.map(change)),
            ...(b.notes ? { notes: b.notes.map(change) } : {}),
          }
        case 'figure':
          return { ...b, caption: change(b.caption) }
      }
    }),
  }
}

/** Facts written out, so that what is written does not depend on a review. */
export const resolved = (tree: DocumentTree, words: (ref: string) => string): DocumentTree =>
  withCells(tree, (content) =>
    content.map((node) => {
      if (node.type !== 'fact') return node
      const { ref } = node.attrs
      return text(words(ref), ...(/^\^?terms\.(?:most|few)/.test(ref) ? (['italic'] as const) : []))
    }),
  )

/** What can be referred to in a document, and what each is called: "Table 2", "Figure 1", "Appendix B". */
export function targetsOf(tree: DocumentTree): ReadonlyMap<string, string> {
  const targets = new Map<string, string>()
  for (const [b, label] of labelsOf(tree))
    if ((b.kind === 'table' || b.kind === 'figure') && b.id !== undefined)
      targets.set(`${b.kind}:${b.id}`, label.replace(/\.$/, ''))
  for (const b of tree.blocks) {
    const letter = b.kind === 'heading' && /^Appendix ([A-Z])\./.exec(wordsOfCell(b.content))?.[1]
    if (letter) targets.set(`appendix:${letter}`, `Appendix ${letter}`)
  }
  return targets
}

/** References written out as what they lead to is called; one that leads nowhere says so. */
export function withReferences(tree: DocumentTree): DocumentTree {
  const targets = targetsOf(tree)
  return withCells(tree, (content) =>
    content.map((node) =>
      node.type === 'pointer'
        ? text(targets.get(node.attrs.to) ?? `[${plainTarget(node.attrs.to)}, which is not here]`)
        : node,
    ),
  )
}

/** The same without what writers say to each other. */
export const withoutComments = (tree: DocumentTree): DocumentTree =>
  withCells(tree, (content) =>
    content.map((node) => {
      if (node.type !== 'text' || !node.marks?.some((m) => m.type === 'comment')) return node
      const { marks, ...bare } = node
      const left = marks.filter((m) => m.type !== 'comment')
      return left.length ? { ...bare, marks: left } : bare
    }),
  )

/**
 * Blocks of what the editor keeps, as blocks of a document; what is not known is kept as a paragraph of its text. The head
 * of a table has no facts in it: they are written out there by `words`.
 */
export function blocksOf(content: readonly unknown[], words: (ref: string) => string = () => ''): Block[] {
  return content.flatMap((node): Block[] => {
    const {
      type,
      content: inner = [],
      attrs,
    } = node as {
      type: string
      content?: unknown[]
      attrs?: { level?: number; id?: string }
    }
    const inlines = (n: unknown): Cell => {
      const { content: c = [] } = n as { content?: unknown[] }
      return c.flatMap((x): Inline[] => {
        const { type: t } = x as { type: string }
        if (t === 'hardBreak') return [text(' ')]
        return isInline(t) ? [x as Inline] : [...inlines(x)]
      })
    }
    const tableOf = (ofRows: unknown[], caption: Cell = []): Block & { kind: 'table' } => {
      const rows = ofRows.map((row) => ((row as { content?: unknown[] }).content ?? []).map(inlines))
      return withNotesBelow(caption, rows, words)
    }
    switch (type) {
      case 'heading':
        return [
          {
            kind: 'heading',
            level: Math.min(3, Math.max(2, attrs?.level ?? 2)) as 2 | 3,
            content: inlines(node),
          },
        ]
      case 'bulletList':
      case 'orderedList':
        return [{ kind: 'list', ordered: type === 'orderedList', items: inner.map(inlines) }]
      case 'blockquote':
        return [{ kind: 'quote', content: inner.map(inlines) }]
      case 'table':
        return [tableOf(inner)]
      case 'tableBlock': {
        const [caption, table] = inner as { content?: unknown[] }[]
        return [
          {
            ...tableOf(table?.content ?? [], inlines(caption)),
            ...(attrs?.id ? { id: attrs.id } : {}),
          },
        ]
      }
      default:
        return [{ kind: 'paragraph', content: inlines(node) }]
    }
  })
}

/**
 * A table made by hand. Its notes stand below it, by letters, as APA 7 has them (section 7.14), and not among those of the
 * text at the foot of the page.
 */
function withNotesBelow(
  caption: Cell,
  [head = [], ...rows]: Cell[][],
  words: (ref: string) => string,
): Block & { kind: 'table' } {
  const notes: Cell[] = []
  const mark = (of: string): string => {
    const letter = String.fromCharCode(97 + (notes.length % 26)).repeat(1 + Math.floor(notes.length / 26))
    notes.push([text(`${letter} `, 'italic'), text(of)])
    return letter
  }
  const marked = (c: Cell): Cell =>
    c.map((n) => (n.type === 'footnote' ? text(` ${mark(n.attrs.words)}`, 'italic') : n))
  const plain = (c: Cell): string =>
    c.map((n) => (n.type === 'footnote' ? ` (${mark(n.attrs.words)})` : wordsOfInline(n, words))).join('')
  const table = { caption: marked(caption), head: head.map(plain), rows: rows.map((r) => r.map(marked)) }
  return { kind: 'table', ...table, ...(notes.length ? { notes } : {}) }
}

/** The words of a cell whose facts are written out. */
export const wordsOfCell = (content: Cell): string =>
  content.map((n) => (n.type === 'text' ? n.text : '')).join('')

/**
 * How wide each column of a table should be, as parts of one: by the root of its longest text and its longest word, so
 * that numbers take little room and queries much.
 */
export function columnWidths(b: Pick<Block & { kind: 'table' }, 'head' | 'rows' | 'mono'>): number[] {
  const weights = b.head.map((h, n) => {
    const texts = [h, ...b.rows.map((r) => wordsOfCell(r[n] ?? []))]
    const longest = Math.max(...texts.map((t) => t.length))
    const word = Math.max(...texts.flatMap((t) => t.split(/\s+/).map((w) => Math.min(24, w.length))))
    // A column without a word has a width too: of nothing but such ones each has its share.
    return Math.max(1, word * 1.5, Math.sqrt(longest) * 2.8) * (b.mono?.includes(n) ? 1.15 : 1)
  })
  const sum = weights.reduce((a, w) => a + w, 0)
  return weights.map((w) => w / sum)
}

/** "Table 1.", "Figure 1.": what each table and figure with a caption is called, in their order. */
export function labelsOf({ blocks }: DocumentTree): ReadonlyMap<Block, string> {
  const labels = new Map<Block, string>()
  const count = { table: 0, figure: 0 }
  for (const b of blocks)
    if ((b.kind === 'table' || b.kind === 'figure') && b.caption.length)
      labels.set(b, `${b.kind === 'table' ? 'Table' : 'Figure'} ${++count[b.kind]}.`)
  return labels
}
