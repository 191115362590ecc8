import type { DocSet } from '../../engine'
import { subtract, unite } from '../../engine'
import type { Part } from '../tree'
import type { Judging } from './check'

/** What a change does: in the block of its concept, and in the line that counts; less is negative. */
export interface Gain {
  block: number
  hits: number
  wanted: number
}

const wantedIn = (c: Judging, docs: DocSet): number => {
  let n = 0
  for (const d of docs) if (c.wanted.has(d)) n++
  return n
}

/** What it does when parts find something else; undefined where nothing is known of records. */
export function gainOf(c: Judging, instead: ReadonlyMap<Part, DocSet>, block: Part): Gain | undefined {
  const { root } = c.search
  const own = c.search.atRoot(instead, block)
  if (!own || !block.docs) return undefined
  const inBlock = own.length - block.docs.length
  const after = c.search.atRoot(instead)
  if (!root?.docs || !after) return { block: inBlock, hits: 0, wanted: 0 }
  return {
    block: inBlock,
    hits: after.length - root.docs.length,
    wanted: wantedIn(c, after) - wantedIn(c, root.docs),
  }
}

/** What it brings when a part finds these records too. */
export function gainOfMore(c: Judging, part: Part, docs: DocSet): Gain | undefined {
  if (!part.docs) return undefined
  return gainOf(c, new Map([[part, unite(part.docs, docs)]]), c.search.blockOf(part))
}

/** Records that these bring to a part, as many as it has not already. */
export const newTo = (part: Part, docs: DocSet): number => (part.docs ? subtract(docs, part.docs).length : 0)

/** Fewer records than this are not worth a word, unless one of them is wanted. */
const LEAST = 2
/** Of what the line that counts finds, or of a block that it does not use. */
const LEAST_PART = 0.01
const LEAST_PART_OF_BLOCK = 0.02

/**
 * Is a gain worth a word? One wanted record is; else it has to show in the line that counts, or in the block itself where that
 * line does not use it.
 */
export function worth(c: Judging, part: Part, gain: Gain | undefined): boolean {
  if (!gain) return false
  if (gain.wanted > 0) return true
  const { root, reached } = c.search
  if (reached.has(part.line)) return gain.hits >= Math.max(LEAST, LEAST_PART * (root?.docs?.length ?? 0))
  const size = c.search.blockOf(part).docs?.length ?? 0
  return gain.block >= Math.max(LEAST, LEAST_PART_OF_BLOCK * size)
}

/** The same of a line that finds more: “12 records more, 2 of them wanted”. */
export const moreWords = (gain: Gain): string => gainWords(gain).replace(/^(\d+ records?)/, '$1 more')

/** What a gain is, in words: “12 records, 2 of them wanted”. */
export function gainWords({ hits, wanted, block }: Gain): string {
  const n = hits || block
  const records = `${n} ${n === 1 ? 'record' : 'records'}`
  return wanted > 0 ? `${records}, ${wanted} of them wanted` : records
}

/** A gain as a remark tells it, by the line that counts; nothing where none was measured. */
export const measured = (gain: Gain | undefined): { gain?: Pick<Gain, 'hits' | 'wanted'> } =>
  gain ? { gain: { hits: gain.hits, wanted: gain.wanted } } : {}
