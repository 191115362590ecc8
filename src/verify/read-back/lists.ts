/**
 * Reads what a package hands to people back from its files: the two lists of works, and the sentences of the section. Written
 * apart from what writes them: it looks at headings, rows and paragraphs, and at nothing else.
 */

/** A reference as it is printed, with the reason beside it where there is one. */
export interface Listed {
  reference: string
  reason?: string
}
export interface Lists {
  /** Set aside on the full text; included. Absent: the file has no such list. */
  out?: Listed[]
  included?: Listed[]
}
export interface ReadBack extends Lists {
  /** Paragraphs of the section before its appendices, as plain text. */
  paragraphs: string[]
}

const ENTITIES: Readonly<Record<string, string>> = { lt: '<', gt: '>', quot: '"', '#39': "'", amp: '&' }
const plain = (markup: string): string =>
  markup
    .replace(/<[^>]*>/g, '')
    .replace(/&(#?\w+);/g, (whole, name: string) => ENTITIES[name] ?? whole)
    .trim()
const isReference = (words: string): boolean => /\(\d{4}|\(n\.d\./.test(words)

/** What stands between a heading and the next one; undefined where there is no such heading. */
function under(whole: string, heading: RegExp, next: RegExp): string | undefined {
  const found = heading.exec(whole)
  if (!found) return undefined
  const rest = whole.slice(found.index + found[0].length)
  const end = rest.search(next)
  return end < 0 ? rest : rest.slice(0, end)
}
const rowsOf = (html: string): string[][] =>
  [...html.matchAll(/<tr>(.*?)<\/tr>/gs)].map((r) =>
    [...r[1]!.matchAll(/<td[^>]*>(.*?)<\/td>/gs)].map((c) => plain(c[1]!)),
  )
const paragraphsOf = (html: string): string[] =>
  [...html.matchAll(/<p\b[^>]*>(.*?)<\/p>/gs)].map((p) => plain(p[1]!))
const listed = (rows: readonly (readonly string[])[]): Listed[] =>
  rows.flatMap(([reference, reason]) =>
    reference !== undefined && reason !== undefined && isReference(reference) ? [{ reference, reason }] : [],
  )
const cited = (lines: readonly string[]): Listed[] =>
  lines.filter(isReference).map((reference) => ({ reference }))

export function readHtml(html: string): ReadBack {
  const heading = (letter: string): RegExp => new RegExp(`<h\\d[^>]*>Appendix ${letter}\\.[^<]*</h\\d>`)
  const [out, included] = ['E', 'F'].map((letter) => under(html, heading(letter), /<h\d/))
  const body = html.slice(0, html.search(/<h\d[^>]*>Appendix /))
  return {
    ...(out === undefined ? {} : { out: listed(rowsOf(out)) }),
    ...(included === undefined ? {} : { included: cited(paragraphsOf(included)) }),
    paragraphs: paragraphsOf(body),
  }
}

const unmarked = (words: string): string =>
  words
    .replace(/(?<!\\)\*/g, '')
    .replace(/\\([*_|[\]\\])/g, '$1')
    .trim()

export function readMarkdown(md: string): ReadBack {
  const heading = (letter: string): RegExp => new RegExp(`^## Appendix ${letter}\\..*$`, 'm')
  const [out, included] = ['E', 'F'].map((letter) => under(md, heading(letter), /^## /m))
  const at = md.search(/^## Appendix /m)
  return {
    ...(out === undefined
      ? {}
      : {
          out: listed(
            out
              .split('\n')
              .filter((l) => l.startsWith('| '))
              .map((l) =>
                l
                  .slice(2)
                  .split(/ \| ?|\|$/)
                  .map(unmarked),
              ),
          ),
        }),
    ...(included === undefined ? {} : { included: cited(included.split('\n\n').map(unmarked)) }),
    paragraphs: (at < 0 ? md : md.slice(0, at)).split('\n\n').map(unmarked),
  }
}

const SIGNS: Readonly<Record<string, string>> = {
  textbackslash: '\\',
  textasciicircum: '^',
  textasciitilde: '~',
  textless: '<',
  textgreater: '>',
  textbar: '|',
  textquotedbl: '"',
  allowbreak: '',
}
/** Words as a reader of the printed page has them: what marks and leads is gone, and signs stand for themselves. */
const printed = (tex: string): string =>
  tex
    .replace(/\\(?:label|phantomsection|addcontentsline\{\w+\}\{\w+\})(?:\{[^{}]*\})?/g, '')
    .replace(/\\hyperref\[[^\]]*\]/g, '')
    .replace(/\\ref\{[a-z]*-?(\d+)\}/g, '$1')
    .replace(/\\(text\w+|allowbreak)\{\}/g, (whole, name: string) => SIGNS[name] ?? whole)
    .replace(/\\footnote\{(?:[^{}]|\\[{}])*\}/g, '')
    .replace(/\\(?:emph|textbf|texttt|url|noindent|par)\b ?/g, '')
    .replace(/(?<!\\)[{}]/g, '')
    .replace(/(?<!\\)~/g, ' ')
    .replace(/\\([{}$&#%_])/g, '$1')
    .trim()

/** LaTeX, as it is written for the plain article class. */
export function readLatex(tex: string): ReadBack {
  const whole = tex.slice(tex.indexOf('\\maketitle'))
  const heading = (letter: string): RegExp =>
    new RegExp(`\\\\section\\*\\{Appendix ${letter}\\.[^\n]*\n[^\n]*`)
  const [out, included] = ['E', 'F'].map((letter) => under(whole, heading(letter), /\\(?:sub)*section\*/))
  const at = whole.search(/\\section\*\{Appendix /)
  return {
    ...(out === undefined
      ? {}
      : {
          out: listed(
            out.split(/ \\\\(?: \\hline)?\n/).map((row) =>
              row
                .replace(/^\\end(?:first)?head\n/, '')
                .split(/(?<!\\) & /)
                .map(printed),
            ),
          ),
        }),
    ...(included === undefined ? {} : { included: cited(included.split('\n\n').map(printed)) }),
    paragraphs: (at < 0 ? whole : whole.slice(0, at)).split('\n\n').map(printed),
  }
}

/** Word: the text of its document, by paragraphs and tables, as `word/document.xml` has it. */
export function readWord(xml: string): ReadBack {
  const words = (p: string): string =>
    plain([...p.matchAll(/<w:t(?: [^>]*)?>([^<]*)<\/w:t>/g)].map((t) => t[1]!).join(''))
  const blocks = [...xml.matchAll(/<w:tbl>.*?<\/w:tbl>|<w:p[ >].*?<\/w:p>/gs)].map(([own]) =>
    own.startsWith('<w:tbl>')
      ? {
          rows: [...own.matchAll(/<w:tr[ >].*?<\/w:tr>/gs)].map(([tr]) =>
            [...tr.matchAll(/<w:tc>.*?<\/w:tc>/gs)].map(([tc]) => words(tc)),
          ),
        }
      : { text: words(own), heading: /<w:pStyle w:val="Heading/.test(own) },
  )
  const from = (letter: string): typeof blocks | undefined => {
    const at = blocks.findIndex((b) => b.heading && b.text?.startsWith(`Appendix ${letter}.`))
    if (at < 0) return undefined
    const rest = blocks.slice(at + 1)
    const end = rest.findIndex((b) => b.heading)
    return end < 0 ? rest : rest.slice(0, end)
  }
  const [out, included] = ['E', 'F'].map(from)
  const first = blocks.findIndex((b) => b.heading && b.text?.startsWith('Appendix '))
  return {
    ...(out ? { out: listed(out.flatMap((b) => b.rows ?? [])) } : {}),
    ...(included ? { included: cited(included.flatMap((b) => b.text ?? [])) } : {}),
    paragraphs: blocks.slice(0, first < 0 ? undefined : first).flatMap((b) => b.text ?? []),
  }
}
