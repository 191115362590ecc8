import type { DocumentTree } from '../account'
import { figureSize, type Rasteriser } from '../picture'

/** A figure as a Word file needs it: drawn with outlined letters, as a picture, and its size. */
export interface FigureFiles {
  svg: Uint8Array
  png: Uint8Array
  width: number
  height: number
}

/** The figures of a document, by their SVG. */
export function figuresIn(tree: DocumentTree, drawing: Rasteriser): Map<string, FigureFiles> {
  const found = new Map<string, FigureFiles>()
  for (const b of tree.blocks)
    if (b.kind === 'figure')
      found.set(b.svg, {
        svg: new TextEncoder().encode(drawing.outlined(b.svg)),
        png: drawing.png(b.svg),
        ...figureSize(b.svg),
      })
  return found
}
