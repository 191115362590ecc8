import { escapedXml as escaped } from '../../picture'
import type { Inline } from '../document'
import { keyOf, leadsIn } from './leads'
import { labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from './tree'

/** How a fact reads, where it leads to within the page, and where it comes from, in words. */
export type FactLink = (ref: string) => { text: string; to?: string; from: string }

function inline(node: Inline, notes: string[], here: ReadonlySet<string>, factAs?: FactLink): string {
  if (node.type === 'footnote') {
    const n = notes.push(node.attrs.words)
    return `<sup id="note-${n}-from"><a href="#note-${n}">${n}</a></sup>`
  }
  if (node.type === 'fact') {
    const found = factAs?.(node.attrs.ref)
    if (!found) return ''
    const text = /^\^?terms\.(?:most|few)/.test(node.attrs.ref)
      ? `<em>${escaped(found.text)}</em>`
      : escaped(found.text)
    const from = `class="fact" title="${escaped(found.from)}"`
    return found.to ? `<a ${from} href="#${found.to}">${text}</a>` : `<span ${from}>${text}</span>`
  }
  if (node.type !== 'text') return ''
  const marks = node.marks?.map((m) => m.type) ?? []
  const text = leadsIn(node.text, (called) => here.has(called))
    .map(({ words, address, called }) => {
      const to = address ?? (called && `#${keyOf(called)}`)
      return to ? `<a href="${escaped(to)}">${escaped(words)}</a>` : escaped(words)
    })
    .join('')
  const italic = marks.includes('italic') ? `<em>${text}</em>` : text
  return marks.includes('bold') ? `<strong>${italic}</strong>` : italic
}
const inlinesWith =
  (notes: string[], here: ReadonlySet<string>, factAs: FactLink | undefined) =>
  (content: Cell): string =>
    content.map((node) => inline(node, notes, here, factAs)).join('')

const STYLE = `body{font:16px/1.6 Georgia,serif;max-width:46rem;margin:2rem auto;padding:0 1rem;color:#1c242b;background:#fff}
h1{font-size:1.7rem}h2{font-size:1.25rem;margin-top:2.2rem}h2.page{break-before:page}h3{font-size:1.05rem}
table{border-collapse:collapse;width:100%;font-size:.82rem;line-height:1.4}caption{text-align:left;padding:.3rem 0;caption-side:top}
th,td{text-align:left;vertical-align:top;padding:.3rem .6rem .3rem 0;border-bottom:1px solid #d5dade}th{border-bottom-color:#5b6770}
thead{display:table-header-group}tr{break-inside:avoid}.wide{overflow-x:auto}code{font:.9em/1.35 ui-monospace,monospace;overflow-wrap:anywhere}
a{color:inherit}.fact{text-decoration:underline dotted;text-underline-offset:.2em}dl{display:grid;grid-template-columns:max-content 1fr;gap:.2rem 1.4rem}dd{margin:0}
figure{margin:1.2rem 0}figure svg{max-width:100%;height:auto}.note{font-size:.82rem}@media print{body{margin:0;max-width:none}.wide{overflow:visible}}`

function block(
  b: Block,
  label: string,
  notes: string[],
  here: ReadonlySet<string>,
  factAs?: FactLink,
): string {
  const inlines = inlinesWith(notes, here, factAs)
  const id = label ? ` id="${keyOf(label.replace(/\.$/, ''))}"` : ''
  switch (b.kind) {
    case 'heading':
      return `<h${b.level + 1}${b.page ? ' class="page"' : ''}${anchorOf(wordsOfCell(b.content))}>${inlinesWith(notes, new Set(), factAs)(b.content)}</h${b.level + 1}>`
    case 'paragraph':
      return `<p${b.note ? ' class="note"' : ''}>${inlines(b.content)}</p>`
    case 'list': {
      const tag = b.ordered ? 'ol' : 'ul'
      return `<${tag}>${b.items.map((i) => `<li>${inlines(i)}</li>`).join('')}</${tag}>`
    }
    case 'quote':
      return `<blockquote>${b.content.map((c) => `<p>${inlines(c)}</p>`).join('')}</blockquote>`
    case 'table': {
      const td = (cell: Cell, n: number): string =>
        `<td>${b.mono?.includes(n) && cell.length ? `<code>${inlines(cell)}</code>` : inlines(cell)}</td>`
      const caption = label ? `<caption>${escaped(label)} <em>${inlines(b.caption)}</em></caption>` : ''
      const name = escaped(label || 'A table')
      return `<div class="wide"${id} role="region" aria-label="${name}" tabindex="0"><table>${caption}<thead><tr>${b.head.map((h) => `<th scope="col">${escaped(h)}</th>`).join('')}</tr></thead><tbody>${b.rows
        .map((r) => `<tr>${r.map(td).join('')}</tr>`)
        .join(
          '\n',
        )}</tbody></table></div>${(b.notes ?? []).map((n) => `<p class="note">${inlines(n)}</p>`).join('')}`
    }
    case 'figure':
      return `<figure${id}>${b.svg}<figcaption>${escaped(label)} <em>${escaped(wordsOfCell(b.caption))}</em></figcaption></figure>`
  }
}

/** Notes stand at the end of a page, each with the way back to its place. */
const footNotes = (notes: readonly string[]): string =>
  notes.length
    ? `<section class="note"><h2>Notes</h2><ol>${notes
        .map(
          (words, n) =>
            `<li id="note-${n + 1}">${escaped(words)} <a href="#note-${n + 1}-from">back</a></li>`,
        )
        .join('')}</ol></section>\n`
    : ''

/** An appendix can be led to: "appendix-b". */
function anchorOf(heading: string): string {
  const letter = /^Appendix ([A-Z])\./.exec(heading)?.[1]
  return letter ? ` id="appendix-${letter.toLowerCase()}"` : ''
}

/** What a page has besides a document: behind its title, and at its end; as HTML. */
export interface PageParts {
  before?: string
  after?: string
}

/**
 * A document as one HTML file without scripts, which prints well. Facts are written out beforehand, or `factAs` gives each,
 * which then leads to its evidence.
 */
export function toHtml(
  tree: DocumentTree,
  factAs?: FactLink,
  { before = '', after = '' }: PageParts = {},
): string {
  const labels = labelsOf(tree)
  const notes: string[] = []
  const here = new Set([
    ...[...labels.values()].map((l) => l.replace(/\.$/, '')),
    ...tree.blocks.flatMap((b) =>
      b.kind === 'heading' ? (/^Appendix [A-Z]/.exec(wordsOfCell(b.content))?.[0] ?? []) : [],
    ),
  ])
  const blocks = tree.blocks.map((b) => block(b, labels.get(b) ?? '', notes, here, factAs)).join('\n')
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(tree.title)}</title><style>${STYLE}</style></head>
<body><main>
<h1>${escaped(tree.title)}</h1>
${before}${blocks}
${footNotes(notes)}${after}</main></body>
</html>
`
}
