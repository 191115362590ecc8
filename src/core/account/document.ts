/**
 * The account as a document: paragraphs of text and facts. The shape is the one that the editor keeps (ProseMirror
 * JSON), so that nothing is converted between reading and editing.
 */
export interface TextNode {
  type: 'text'
  text: string
  marks?: { type: 'italic' | 'bold' }[]
}
/** A value bound to the record; `ref` says which, and its words are looked up whenever they are shown. */
export interface FactNode {
  type: 'fact'
  attrs: { ref: string }
}
export type Inline = TextNode | FactNode
export interface Paragraph {
  type: 'paragraph'
  content?: Inline[]
}

/** One part of the account, about one stage of the work. */
export interface Passage {
  id: PassageId
  title: string
  content: Paragraph[]
  /** The person has changed it; the draft no longer overwrites it. */
  edited: boolean
}

/** The passages in their order, with a heading for each voice. */
export const PASSAGES = [
  {
    id: 'question',
    stage: 'question',
    titles: { we: 'What we asked', I: 'What I asked', passive: 'The question' },
  },
  {
    id: 'sources',
    stage: 'question',
    titles: { we: 'Where we looked', I: 'Where I looked', passive: 'Sources' },
  },
  {
    id: 'terms',
    stage: 'terms',
    titles: { we: 'With which words', I: 'With which words', passive: 'Terms' },
  },
  {
    id: 'searches',
    stage: 'searches',
    titles: { we: 'How we searched', I: 'How I searched', passive: 'Searches' },
  },
  {
    id: 'records',
    stage: 'records',
    titles: { we: 'What came back', I: 'What came back', passive: 'Records' },
  },
  {
    id: 'selection',
    stage: 'selection',
    titles: { we: 'How we chose', I: 'How I chose', passive: 'Selection' },
  },
] as const
export type PassageId = (typeof PASSAGES)[number]['id']

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

/** A paragraph from a template in which `{ref}` stands for a fact and `*words*` for italics. */
export function paragraph(template: string): Paragraph {
  const content: Inline[] = []
  for (const part of template.split(
    /(\{[^}]+\}|\*(?:\uE000[^\uE001]*\uE001|[^*])+\*|\uE000[^\uE001]*\uE001)/,
  )) {
    if (!part) continue
    if (part.startsWith('{')) content.push(fact(part.slice(1, -1)))
    else if (part.startsWith('*')) content.push(text(part.slice(1, -1).replace(OWN, '$1'), 'italic'))
    else content.push(text(part.replace(OWN, '$1')))
  }
  return { type: 'paragraph', content }
}

/** The inline parts of a block, however deep the editor has put them (lists, quotations). */
export function* inlinesOf(node: unknown): Generator<Inline> {
  if (typeof node !== 'object' || node === null) return
  const { type, content } = node as { type?: string; content?: unknown[] }
  if (type === 'text' || type === 'fact') yield node as Inline
  for (const child of content ?? []) yield* inlinesOf(child)
}
