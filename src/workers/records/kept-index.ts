import type { IndexParts } from '@/core/engine'
import type { Derived } from './blocks-here'

const ARRAYS = ['termPairs', 'pairDoc', 'pairMask', 'pairStart', 'positions'] as const
type Arrays = Pick<IndexParts, (typeof ARRAYS)[number]>

/** An index without its long rows of numbers, and how long these are. */
interface Head {
  rest: Omit<IndexParts, keyof Arrays>
  lengths: Record<keyof Arrays, number>
}

/**
 * Numbers in one piece. Read in one, the index of 100,000 works (80 MB) keeps the desk from answering for two seconds;
 * in pieces of this length it answers in between.
 */
const PIECE = 1 << 20

const nameOf = (row: keyof Arrays, at: number): string => `words.${row}.${at / PIECE}`

/** Keeps an index in pieces; its head comes last, so that it never stands for pieces that are not there. */
export async function keepIndex(
  derived: Derived,
  reviewId: string,
  from: string,
  parts: IndexParts,
): Promise<void> {
  const { termPairs, pairDoc, pairMask, pairStart, positions, ...rest } = parts
  const arrays: Arrays = { termPairs, pairDoc, pairMask, pairStart, positions }
  const lengths = {} as Head['lengths']
  for (const row of ARRAYS) {
    lengths[row] = arrays[row].length
    for (let at = 0; at < lengths[row]; at += PIECE)
      await derived.keep(reviewId, nameOf(row, at), from, arrays[row].slice(at, at + PIECE))
  }
  await derived.keep(reviewId, 'words', from, { rest, lengths } satisfies Head)
}

/** The index that was kept; undefined where none was, or not whole. */
export async function keptIndex(
  derived: Derived,
  reviewId: string,
  from: string,
): Promise<IndexParts | undefined> {
  const head = (await derived.get(reviewId, 'words', from)) as Head | undefined
  if (!head?.lengths) return undefined
  const arrays: Arrays = {
    termPairs: new Uint32Array(head.lengths.termPairs),
    pairDoc: new Uint32Array(head.lengths.pairDoc),
    pairMask: new Uint16Array(head.lengths.pairMask),
    pairStart: new Uint32Array(head.lengths.pairStart),
    positions: new Uint32Array(head.lengths.positions),
  }
  for (const row of ARRAYS)
    for (let at = 0; at < head.lengths[row]; at += PIECE) {
      const piece = (await derived.get(reviewId, nameOf(row, at), from)) as ArrayLike<number> | undefined
      if (piece?.length !== Math.min(PIECE, head.lengths[row] - at)) return undefined
      arrays[row].set(piece, at)
    }
  return { ...head.rest, ...arrays }
}
