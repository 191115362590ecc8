import type { Inline } from '../document'
import { columnWidths, labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from './tree'

const MARKS: Record<string, string> = {
  '\\': '\\textbackslash{}',
  '{': '\\{',
  '}': '\\}',
  $: '\\$',
  '&': '\\&',
  '#': '\\#',
  '%': '\\%',
  _: '\\_',
  '^': '\\textasciicircum{}',
  '~': '\\textasciitilde{}',
  '<': '\\textless{}',
  '>': '\\textgreater{}',
  '|': '\\textbar{}',
  '"': '\\textquotedbl{}',
}

/** Text as LaTeX has it; signs that mean something there stand for themselves. */
export const latexText = (text: string): string => text.replace(/[\\{}$&#%_^~<>|"]/g, (c) => MARKS[c]!)

function inline(node: Inline): string {
  if (node.type === 'footnote') return `\\footnote{${latexText(node.attrs.words)}}`
  if (node.type !== 'text') return ''
  const marks = node.marks?.map((m) => m.type) ?? []
  const text = latexText(node.text)
  const italic = marks.includes('italic') ? `\\emph{${text}}` : text
  return marks.includes('bold') ? `\\textbf{${italic}}` : italic
}
const inlines = (content: Cell): string => content.map(inline).join('')

function block(b: Block, label: string): string {
  switch (b.kind) {
    case 'heading':
      return `${b.page ? '\\clearpage\n' : ''}\\${['section', 'subsection', 'subsubsection'][b.level - 1]!}*{${inlines(b.content)}}`
    case 'paragraph':
      return inlines(b.content)
    case 'list': {
      const kind = b.ordered ? 'enumerate' : 'itemize'
      return `\\begin{${kind}}\n${b.items.map((i) => `\\item ${inlines(i)}`).join('\n')}\n\\end{${kind}}`
    }
    case 'quote':
      return `\\begin{quote}\n${b.content.map(inlines).join('\n\n')}\n\\end{quote}`
    case 'table': {
      const columns = columnWidths(b)
        .map((w) => `>{\\raggedright\\arraybackslash}p{${(w - 0.022).toFixed(3)}\\linewidth}`)
        .join('')
      const cell = (c: Cell, n: number): string =>
        b.mono?.includes(n) && c.length ? `\\texttt{${inlines(c)}}` : inlines(c)
      const head = `${b.head.map((h) => `\\textbf{${latexText(h)}}`).join(' & ')} \\\\ \\hline`
      return [
        '{\\footnotesize',
        `\\begin{longtable}{${columns}}`,
        ...(label
          ? [`\\multicolumn{${b.head.length}}{l}{${latexText(label)} \\emph{${inlines(b.caption)}}} \\\\`]
          : []),
        head,
        '\\endfirsthead',
        head,
        '\\endhead',
        ...b.rows.map((r) => `${r.map(cell).join(' & ')} \\\\`),
        '\\end{longtable}',
        ...(b.notes ?? []).map((n) => `\\noindent ${inlines(n)}\\par`),
        '}',
      ].join('\n')
    }
    case 'figure':
      return `\\noindent ${latexText(label)} \\emph{${latexText(wordsOfCell(b.caption))}}\\par\n${latexText(b.alt)}`
  }
}

/** A document as LaTeX for the plain article class; a figure stands in words, its drawing is a file of its own. */
export function toLatex(tree: DocumentTree): string {
  const labels = labelsOf(tree)
  return `\\documentclass{article}
\\usepackage[T1]{fontenc}
\\usepackage[utf8]{inputenc}
\\usepackage{textcomp}
\\usepackage{array}
\\usepackage{longtable}
\\title{${latexText(tree.title)}}
\\date{}
\\begin{document}
\\maketitle

${tree.blocks.map((b) => block(b, labels.get(b) ?? '')).join('\n\n')}

\\end{document}
`
}
