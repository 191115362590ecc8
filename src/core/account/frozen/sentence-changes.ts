import { sentencesOf } from '../advice/look'
import { text, type Inline, type Paragraph } from '../document'
import { inlineWords, type FactContext } from '../facts'

/** A sentence that is in one text only, or in both. */
export interface SentenceChange {
  is: 'same' | 'mine' | 'drafted'
  words: string
  /** Its parts, facts bound, so that it can be taken. */
  content: Inline[]
  /** Of which paragraph of its own text it is. */
  paragraph: number
}

interface Piece {
  words: string
  content: Inline[]
  paragraph: number
}

/** Sentences of paragraphs with their facts still bound; a sentence's bounds never fall into a fact. */
export function sentencePieces(context: FactContext, paragraphs: readonly Paragraph[]): Piece[] {
  return paragraphs.flatMap(({ content = [] }, paragraph): Piece[] => {
    const wordsOf = (n: Inline): string => inlineWords(context, n)
    const whole = content.map(wordsOf).join('')
    let at = 0
    return sentencesOf(whole).flatMap((words): Piece[] => {
      const start = whole.indexOf(words, at)
      at = start + words.length
      const own = cut(content, wordsOf, start, at)
      return own.length ? [{ words, content: own, paragraph }] : []
    })
  })
}

/** The parts of a paragraph between two places of its words; a fact belongs to where it begins, whole. */
function cut(content: readonly Inline[], wordsOf: (n: Inline) => string, from: number, to: number): Inline[] {
  const own: Inline[] = []
  let at = 0
  for (const node of content) {
    const words = wordsOf(node)
    const [a, b] = [Math.max(from, at), Math.min(to, at + words.length)]
    // What is one piece belongs to where it begins, whole; a note at the foot, to what stands before it.
    if (node.type !== 'text') {
      const first = node.type === 'footnote' ? at - 1 : at
      if (first >= from && first < to) own.push(node)
    } else if (a < b) own.push({ ...node, text: node.text.slice(a - at, b - at) })
    at += words.length
  }
  return own
}

/** The sentences of a text and of its draft side by side, in order: what both have once, what only one has apart. */
export function sentenceChanges(
  context: FactContext,
  mine: readonly Paragraph[],
  drafted: readonly Paragraph[],
): SentenceChange[] {
  const [a, b] = [sentencePieces(context, mine), sentencePieces(context, drafted)]
  // The longest common run of sentences, by the usual table; a part of a section has a few dozen.
  const table = Array.from({ length: a.length + 1 }, () => new Uint16Array(b.length + 1))
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      table[i]![j] =
        a[i]!.words === b[j]!.words
          ? table[i + 1]![j + 1]! + 1
          : Math.max(table[i + 1]![j]!, table[i]![j + 1]!)
  const out: SentenceChange[] = []
  let [i, j] = [0, 0]
  while (i < a.length || j < b.length)
    if (i < a.length && j < b.length && a[i]!.words === b[j]!.words) {
      out.push({ is: 'same', ...a[i++]! })
      j++
    } else if (i < a.length && (j >= b.length || table[i + 1]![j]! >= table[i]![j + 1]!))
      out.push({ is: 'mine', ...a[i++]! })
    else out.push({ is: 'drafted', ...b[j++]! })
  return out
}

/** The text after one drafted sentence was taken into it, behind the sentence before it that both have. */
export function withSentence(
  mine: readonly Paragraph[],
  changes: readonly SentenceChange[],
  taken: SentenceChange,
): Paragraph[] {
  const at = changes.indexOf(taken)
  const before = changes.slice(0, at).findLast((c) => c.is !== 'drafted')
  const paragraphs: Paragraph[] = mine.map((p) => ({ ...p }))
  if (!before) {
    const [first, ...rest] = paragraphs
    return first
      ? [{ ...first, content: [...taken.content, text(' '), ...(first.content ?? [])] }, ...rest]
      : [{ type: 'paragraph', content: [...taken.content] }]
  }
  // Put together again from its sentences, with the taken one behind the one before it.
  const own = changes.filter((c) => c.is !== 'drafted' && c.paragraph === before.paragraph)
  const content = own.flatMap((c, n): Inline[] => [
    ...(n ? [text(' ')] : []),
    ...c.content,
    ...(c === before ? [text(' '), ...taken.content] : []),
  ])
  paragraphs[before.paragraph] = { ...paragraphs[before.paragraph]!, content }
  return paragraphs
}

/** The text with these words of the draft taken into it, sentence by sentence; those it has already are left as they are. */
export function withDrafted(
  context: FactContext,
  { content, draft }: { content: readonly Paragraph[]; draft: readonly Paragraph[] },
  offered: readonly (readonly Inline[])[],
): Paragraph[] {
  const wanted = offered.map((own) => own.map((n) => inlineWords(context, n)).join(''))
  let mine: Paragraph[] = [...content]
  for (;;) {
    const changes = sentenceChanges(context, mine, draft)
    const next = changes.find((c) => c.is === 'drafted' && wanted.some((words) => words.includes(c.words)))
    if (!next) return mine
    mine = withSentence(mine, changes, next)
  }
}
