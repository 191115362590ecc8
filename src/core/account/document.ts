import type { SayingName } from './sayings'
import type { Stage } from './facts'

/**
 * The account as a document: paragraphs of text and facts. The shape is the one that the editor keeps (ProseMirror
 * JSON), so that nothing is converted between reading and editing.
 */
export interface TextNode {
  type: 'text'
  text: string
  marks?: Mark[]
}
/** How words stand, or what somebody says of them to those who write with them. */
export type Mark = { type: 'italic' | 'bold' } | { type: 'comment'; attrs: TextComment }
export interface TextComment {
  id: string
  /** The person's id; in a document that is handed out, their name. */
  by: string
  at: string
  words: string
}
/** A value bound to the record; `ref` says which, and its words are looked up whenever they are shown. */
export interface FactNode {
  type: 'fact'
  attrs: { ref: string }
}
/** Words at the foot of the page. */
export interface FootnoteNode {
  type: 'footnote'
  attrs: { words: string }
}
/** A reference to a table, a figure or an appendix (`table:`, `figure:`, `appendix:`), which is called what it is called. */
export interface PointerNode {
  type: 'pointer'
  attrs: { to: string }
}
export type Inline = TextNode | FactNode | FootnoteNode | PointerNode
export interface Paragraph {
  type: 'paragraph'
  content?: Inline[]
}

/** One part of the account. */
export interface Passage {
  id: PassageId
  title: string
  content: Paragraph[]
  /** The person has changed it; the draft no longer overwrites it. */
  edited: boolean
  /** As the record would have it, whether it is edited or not; each sentence with the stage that feeds it. */
  drafted: {
    stage: Stage
    content: Inline[]
    /** What it tells, by name, and of which sources. */
    tells: SayingName
    of: readonly string[]
  }[]
  /** The same as paragraphs. */
  draft: Paragraph[]
}

/** The parts of the account, with a heading for each voice: four by theme, five in order of time. */
export const PARTS = {
  where: { we: 'Where and how we looked', I: 'Where and how I looked', passive: 'Sources and searching' },
  words: { we: 'With which terms', I: 'With which terms', passive: 'Terms and limits' },
  planned: { we: 'What we planned', I: 'What I planned', passive: 'Plan' },
  searched: { we: 'How we searched', I: 'How I searched', passive: 'Search' },
  again: { we: 'What we added and changed', I: 'What I added and changed', passive: 'Further searching' },
  screened: { we: 'How we screened', I: 'How I screened', passive: 'Screening' },
  judged: {
    we: 'How we judged what was left',
    I: 'How I judged what was left',
    passive: 'Full texts and what was included',
  },
} as const
export type PassageId = keyof typeof PARTS

/** The passages of earlier accounts, whose text was edited under these names. */
export const EARLIER_PASSAGES: Readonly<Record<string, string>> = {
  question: 'What we asked',
  sources: 'Where we looked',
  terms: 'With which words',
  searches: 'How we searched',
  records: 'What came back',
  selection: 'How we chose',
}

export const text = (value: string, ...marks: ('italic' | 'bold')[]): TextNode => ({
  type: 'text',
  text: value,
  ...(marks.length ? { marks: marks.map((type) => ({ type })) } : {}),
})
export const fact = (ref: string): FactNode => ({ type: 'fact', attrs: { ref } })

// A person's own words stand in a template between two characters that no text has.
const OWN = /\uE000([^\uE001]*)\uE001/g

/** A person's own words for a template: taken as they are, whatever signs they hold. */
export const verbatim = (words: string): string => `\uE000${words.replace(/[\uE000\uE001]/g, '')}\uE001`

/** Changes a template, and leaves alone the person's own words in it. */
export const outsideOwn = (template: string, change: (part: string) => string): string =>
  template
    .split(/(\uE000[^\uE001]*\uE001)/)
    .map((part) => (part.startsWith('\uE000') ? part : change(part)))
    .join('')

/**
 * A paragraph from a template in which `{ref}` stands for a fact, `{@to}` for a reference to a table, and `*words*` for
 * italics.
 */
export function paragraph(template: string): Paragraph {
  const content: Inline[] = []
  for (const part of template.split(
    /(\{[^}]+\}|\*(?:\uE000[^\uE001]*\uE001|[^*])+\*|\uE000[^\uE001]*\uE001)/,
  )) {
    if (!part) continue
    if (part.startsWith('{@')) content.push({ type: 'pointer', attrs: { to: part.slice(2, -1) } })
    else if (part.startsWith('{')) content.push(fact(part.slice(1, -1)))
    else if (part.startsWith('*')) content.push(text(part.slice(1, -1).replace(OWN, '$1'), 'italic'))
    else content.push(text(part.replace(OWN, '$1')))
  }
  return { type: 'paragraph', content }
}

const INLINES: ReadonlySet<string | undefined> = new Set<Inline['type']>([
  'text',
  'fact',
  'footnote',
  'pointer',
])
export const isInline = (type: string | undefined): boolean => INLINES.has(type)

/** By which the table of sources is referred to. */
export const SOURCES_TABLE = 'sources'

/**
 * What a reference is called where nothing tells its number: "Appendix B", "the table". The table of sources is the first,
 * where nobody puts another before it.
 */
export const plainTarget = (to: string): string => {
  if (to === `table:${SOURCES_TABLE}`) return 'Table 1'
  const [kind, which] = to.split(':')
  return kind === 'appendix' ? `Appendix ${which}` : kind === 'figure' ? 'the figure' : 'the table'
}

/** An inline part as it reads; a note at the foot of the page is none of the words. */
export function wordsOfInline(
  node: Inline,
  factWords: (ref: string) => string,
  targetWords: (to: string) => string = plainTarget,
): string {
  switch (node.type) {
    case 'text':
      return node.text
    case 'fact':
      return factWords(node.attrs.ref)
    case 'pointer':
      return targetWords(node.attrs.to)
    case 'footnote':
      return ''
  }
}

/** The inline parts of a block, however deep the editor has put them (lists, quotations). */
export function* inlinesOf(node: unknown): Generator<Inline> {
  if (typeof node !== 'object' || node === null) return
  const { type, content } = node as { type?: string; content?: unknown[] }
  if (isInline(type)) yield node as Inline
  for (const child of content ?? []) yield* inlinesOf(child)
}
