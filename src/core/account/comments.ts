import type { PassageContent } from '../review'
import { inlinesOf, type PassageId, type TextComment } from './document'

/** What somebody said of words of the section, with the words. */
export interface CommentInText extends TextComment {
  passage: PassageId
  quoted: string
}

/** What is said of words of the section, in the order of the words. */
export function commentsIn(
  passages: readonly { id: PassageId; content: readonly unknown[] }[],
): CommentInText[] {
  const found = new Map<string, CommentInText>()
  for (const { id: passage, content } of passages)
    for (const block of content)
      for (const node of inlinesOf(block)) {
        if (node.type !== 'text') continue
        for (const mark of node.marks ?? []) {
          if (mark.type !== 'comment') continue
          const known = found.get(mark.attrs.id)
          if (known) known.quoted += node.text
          else found.set(mark.attrs.id, { ...mark.attrs, passage, quoted: node.text })
        }
      }
  return [...found.values()]
}

/** The text of a part without one comment; its words stay. */
export function withoutComment(content: PassageContent, id: string): PassageContent {
  const bare = (node: unknown): unknown => {
    if (typeof node !== 'object' || node === null) return node
    const {
      marks,
      content: inner,
      ...rest
    } = node as {
      marks?: { type: string; attrs?: { id?: string } }[]
      content?: unknown[]
    }
    const left = marks?.filter((m) => m.type !== 'comment' || m.attrs?.id !== id)
    return {
      ...rest,
      ...(left?.length ? { marks: left } : {}),
      ...(inner ? { content: inner.map(bare) } : {}),
    }
  }
  return content.map(bare) as PassageContent
}
