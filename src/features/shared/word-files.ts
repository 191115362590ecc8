import type { DocumentTree } from '@/core/account'
import type { WordFigure } from '@/core/account/documents/word'
import { figureSize } from '@/core/picture'
import { longDesk } from '@/workers'
import { saveFile } from '@/ui/save-file'

const WORD = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'

/** The figures of a document as a Word file needs them. */
async function wordFigures(tree: DocumentTree): Promise<Map<string, WordFigure>> {
  const found = new Map<string, WordFigure>()
  for (const b of tree.blocks) {
    if (b.kind !== 'figure') continue
    const [svg, png] = await Promise.all([
      longDesk().figure(b.svg, 'outlined'),
      longDesk().figure(b.svg, 'png'),
    ])
    found.set(b.svg, { svg, png, ...figureSize(b.svg) })
  }
  return found
}

/** Saves a document as a Word file; the writer, which is heavy, is loaded when it is first asked for. */
export async function saveWord(name: string, tree: DocumentTree): Promise<void> {
  const { toWord } = await import('@/core/account/documents/word')
  saveFile(name, (await toWord(tree, await wordFigures(tree))) as BlobPart, WORD)
}
