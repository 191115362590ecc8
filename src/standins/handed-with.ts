import { toWord } from '../core/account/documents/word'
import { figuresIn, type HandedFrom, type ReadReview } from '../core/handed'
import type { Rasteriser } from '../core/picture'
import { referenceList, type StyleEngine } from '../core/records'
import { styleEngine } from '../core/records/style'
import { STANDINS, vocabularyFile, type StandinInfo } from '.'
import { sourceFactsOf } from './source-facts'
import { sourceInfo } from './source-info'

let made: StyleEngine | undefined
/** The processor of the style in which works are cited here: making one takes longer than citing a hundred works. */
const processor = (): StyleEngine => (made ??= styleEngine('apa'))

/** What the section and its appendices are made from: the review, its sources with what is known of them, and a style. */
export function readingOf(read: ReadReview): Omit<HandedFrom, 'drawing' | 'word' | 'vocabularies'> {
  // What the works were read from is let go: of many records, it is as large as the works.
  const { beside: _beside, ...kept } = read
  const { review } = kept
  return {
    ...kept,
    source: sourceFactsOf(review),
    short: (s) => sourceInfo(review, s).short,
    cite: (records) => referenceList(records, processor()),
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
export async function handedWith(
  read: ReadReview,
  rasteriser: Rasteriser,
  turtleOf: (info: StandinInfo) => string | Promise<string>,
): Promise<HandedFrom> {
  const drawing = drawnOnce(rasteriser)
  const named = STANDINS.filter((info) => read.review.sources.some((s) => s.profileId === info.id))
  const vocabularies = named.flatMap((info) => {
    const file = vocabularyFile(info)
    return file ? [{ info, title: info.vocabularyTitle!, file }] : []
  })
  return {
    ...readingOf(read),
    vocabularies: await Promise.all(
      vocabularies.map(async ({ info, ...of }) => ({ ...of, turtle: await turtleOf(info) })),
    ),
    drawing,
    word: (tree) => toWord(tree, figuresIn(tree, drawing)),
  }
}
