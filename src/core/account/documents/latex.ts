import { dateWords } from '../../base'
import type { Inline } from '../document'
import { keyOf, leadsIn } from './leads'
import { drawnInTex } from './latex-figure'
import { latexQuery, latexText } from './latex-text'
import { columnWidths, labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from './tree'

export { latexText } from './latex-text'

/** An address as it is followed; "https://doi.org/" and what comes behind it may be broken anywhere. */
const address = (to: string): string => `\\url{${to.replace(/[%#\\{}]/g, (c) => `\\${c}`)}}`

type Inlines = (content: Cell) => string

function inlinesFor(here: ReadonlySet<string>, query = false): Inlines {
  const words = (text: string): string =>
    leadsIn(text, (called) => here.has(called))
      .map(({ words: own, address: to, called }) => {
        if (to !== undefined) return address(to)
        if (called === undefined) return query ? latexQuery(own) : latexText(own)
        const [kind, number] = called.split(' ') as [string, string]
        // Tables and figures are numbered by TeX; an appendix keeps its letter.
        return kind === 'Appendix'
          ? `\\hyperref[${keyOf(called)}]{Appendix~${number}}`
          : `${kind}~\\ref{${keyOf(called)}}`
      })
      .join('')
  const inline = (node: Inline): string => {
    if (node.type === 'footnote') return `\\footnote{${latexText(node.attrs.words)}}`
    if (node.type !== 'text') return ''
    const marks = node.marks?.map((m) => m.type) ?? []
    const italic = marks.includes('italic') ? `\\emph{${words(node.text)}}` : words(node.text)
    return marks.includes('bold') ? `\\textbf{${italic}}` : italic
  }
  return (content) => content.map(inline).join('')
}

/** Text of a figure is read from eight points on; across the page there is more room. Both in points. */
const READABLE = 8
const [UPRIGHT, ACROSS] = [459, 702]

function figure(b: Block & { kind: 'figure' }, label: string): string {
  const drawn = drawnInTex(b.svg)
  const caption = `\\caption{\\emph{${latexText(wordsOfCell(b.caption))}}}\\label{${keyOf(label)}}`
  if (!drawn) return `\\begin{figure}[htbp]\n${caption}\n\\par\\noindent ${latexText(b.alt)}\n\\end{figure}`
  const across = drawn.smallest * (UPRIGHT / drawn.width) < READABLE && drawn.width > UPRIGHT
  const width = Math.min(drawn.width, across ? ACROSS : UPRIGHT)
  const inside = `\\begin{figure}[!htbp]\n\\noindent\\resizebox{${width}pt}{!}{%\n${drawn.tikz}}\n${caption}\n\\end{figure}`
  return across ? `\\begin{landscape}\n${inside}\n\\end{landscape}` : inside
}

/** A bold letter of a head, at most so wide on average, and what a table has of the width of the text; in points. */
const LETTER = 5.4
const roomOf = (columns: number): number => UPRIGHT - 8 * columns

/** Widths of columns, none of which is narrower than the longest word of its head. */
function widthsInTex(b: Block & { kind: 'table' }): number[] {
  const least = b.head.map(
    (h) => (Math.max(...h.split(/\s+/).map((w) => w.length)) * LETTER) / roomOf(b.head.length),
  )
  const widths = columnWidths(b).map((w, n) => Math.max(w, least[n]!))
  const [sum, fixed] = [widths.reduce((a, w) => a + w, 0), least.reduce((a, w) => a + w, 0)]
  // What is too much is taken from what is wider than it has to be.
  return fixed >= 1 || sum <= 1
    ? widths.map((w) => w / sum)
    : widths.map((w, n) => least[n]! + ((w - least[n]!) * (1 - fixed)) / (sum - fixed))
}

function block(b: Block, label: string, here: ReadonlySet<string>): string {
  const inlines = inlinesFor(here)
  switch (b.kind) {
    case 'heading': {
      const words = wordsOfCell(b.content)
      const letter = /^Appendix [A-Z]/.exec(words)?.[0]
      const command = ['section', 'subsection', 'subsubsection'][b.level - 1]!
      return [
        ...(b.page ? ['\\clearpage'] : []),
        ...(letter ? [`\\phantomsection\\label{${keyOf(letter)}}`] : []),
        `\\${command}*{${inlinesFor(new Set())(b.content)}}`,
        `\\addcontentsline{toc}{${command}}{${latexText(words)}}`,
      ].join('\n')
    }
    case 'paragraph':
      return inlines(b.content)
    case 'list': {
      const kind = b.ordered ? 'enumerate' : 'itemize'
      return `\\begin{${kind}}\n${b.items.map((i) => `\\item ${inlines(i)}`).join('\n')}\n\\end{${kind}}`
    }
    case 'quote':
      return `\\begin{quote}\n${b.content.map(inlines).join('\n\n')}\n\\end{quote}`
    case 'table': {
      // What stands between columns is taken off the width of the text first.
      const columns = widthsInTex(b)
        .map((w) => `>{\\raggedright\\arraybackslash\\hspace{0pt}}p{${w.toFixed(4)}\\columnroom}`)
        .join('\n  ')
      const query = inlinesFor(here, true)
      const cell = (c: Cell, n: number): string =>
        b.mono?.includes(n) && c.length ? `\\texttt{${query(c)}}` : inlines(c)
      const head = `${b.head.map((h) => `\\textbf{${latexText(h)}}`).join(' & ')} \\\\ \\hline`
      return [
        '{\\footnotesize\\sloppy',
        `\\setlength{\\columnroom}{\\dimexpr\\linewidth-${2 * b.head.length}\\tabcolsep\\relax}`,
        `\\begin{longtable}{\n  ${columns}}`,
        ...(label ? [`\\caption{\\emph{${inlines(b.caption)}}}\\label{${keyOf(label)}} \\\\`] : []),
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
      return figure(b, label)
  }
}

/**
 * A document as LaTeX for the plain article class, drawing and all in one file. Letters beyond Latin ask for an engine that
 * has them (LuaLaTeX, XeLaTeX), for which it is set up too.
 */
export function toLatex(tree: DocumentTree): string {
  const labels = new Map([...labelsOf(tree)].map(([b, label]) => [b, label.replace(/\.$/, '')]))
  const here = new Set([
    ...labels.values(),
    ...tree.blocks.flatMap((b) =>
      b.kind === 'heading' ? (/^Appendix [A-Z]/.exec(wordsOfCell(b.content))?.[0] ?? []) : [],
    ),
  ])
  const { title, authors = [], day } = tree
  return `\\documentclass[a4paper]{article}
\\usepackage{iftex}
\\ifPDFTeX
  \\usepackage[T1]{fontenc}
  \\usepackage[utf8]{inputenc}
  \\usepackage{textcomp}
  \\IfFileExists{lmodern.sty}{\\usepackage{lmodern}}{}
\\else
  \\usepackage{fontspec}
\\fi
\\usepackage[margin=2.4cm]{geometry}
\\usepackage{array}
\\usepackage{longtable}
\\usepackage{caption}
\\usepackage{pdflscape}
\\usepackage{tikz}
\\usepackage{xurl}
\\usepackage[hidelinks]{hyperref}
\\captionsetup{labelsep=period,justification=raggedright,singlelinecheck=false}
\\frenchspacing
\\emergencystretch=3em
\\setlength{\\extrarowheight}{1.5pt}
\\setlength{\\tabcolsep}{4pt}
\\newlength{\\columnroom}
\\title{${latexText(title)}}
\\author{${authors.map(latexText).join(' \\and ')}}
\\date{${day === undefined ? '' : dateWords(day)}}
\\begin{document}
\\maketitle

${tree.blocks.map((b) => block(b, labels.get(b) ?? '', here)).join('\n\n')}

\\end{document}
`
}
