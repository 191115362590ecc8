import { toWord } from '../core/account/documents/word'
import { figuresIn, type HandedFrom, type ReadReview } from '../core/handed'
import type { Rasteriser } from '../core/picture'
import { referenceList, type StyleEngine } from '../core/records'
import { styleEngine } from '../core/records/style'
import { sourceFactsOf } from './source-facts'
import { sourceInfo } from './source-info'

/** What the section and its appendices are made from: the review, its sources with what is known of them, and a style. */
export function readingOf(read: ReadReview): Omit<HandedFrom, 'drawing' | 'word'> {
  const { review } = read
  let engine: StyleEngine | undefined
  return {
    ...read,
    source: sourceFactsOf(review),
    short: (s) => sourceInfo(review, s).short,
    cite: (records) => referenceList(records, (engine ??= styleEngine('apa'))),
  }
}

/** Draws each figure once: the Word file and the package need the same one, and drawing it takes longest of all files. */
function drawnOnce(drawing: Rasteriser): Rasteriser {
  const pictures = new Map<string, Uint8Array>()
  const outlines = new Map<string, string>()
  return {
    png: (svg, zoom) => found(pictures, `${zoom} ${svg}`, () => drawing.png(svg, zoom)),
    outlined: (svg) => found(outlines, svg, () => drawing.outlined(svg)),
  }
}

function found<T>(known: Map<string, T>, key: string, make: () => T): T {
  const own = known.get(key) ?? make()
  known.set(key, own)
  return own
}

/** The same with what draws figures and writes Word: all that files for people need, in a browser as on a command line. */
export function handedWith(read: ReadReview, rasteriser: Rasteriser): HandedFrom {
  const drawing = drawnOnce(rasteriser)
  return { ...readingOf(read), drawing, word: (tree) => toWord(tree, figuresIn(tree, drawing)) }
}
