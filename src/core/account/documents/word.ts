import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx'
import { inlinesOf, type Passage } from '../document'
import type { FactWords } from './markdown'

/**
 * The account as a Word file (bytes of a .docx). Every fact is written out as it reads now. Kept apart from the other
 * documents because the writer is heavy: import it only where a Word file is asked for.
 */
export async function toWord(
  title: string,
  passages: readonly Passage[],
  words: FactWords,
): Promise<Uint8Array> {
  const children = [new Paragraph({ text: title, heading: HeadingLevel.TITLE })]
  for (const passage of passages) {
    if (!passage.content.length) continue
    children.push(new Paragraph({ text: passage.title, heading: HeadingLevel.HEADING_1 }))
    for (const block of passage.content) {
      const runs = [...inlinesOf(block)].map((node) => {
        if (node.type === 'fact') return new TextRun(words(node.attrs.ref))
        const marks = node.marks?.map((m) => m.type) ?? []
        return new TextRun({
          text: node.text,
          italics: marks.includes('italic'),
          bold: marks.includes('bold'),
        })
      })
      children.push(new Paragraph({ children: runs, spacing: { after: 160, line: 320 } }))
    }
  }
  const file = new Document({
    creator: 'Luvren',
    title,
    styles: { default: { document: { run: { font: 'Georgia', size: 23 } } } },
    sections: [{ children }],
  })
  return new Uint8Array(await Packer.toArrayBuffer(file))
}
