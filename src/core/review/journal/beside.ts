import type { PlainReview } from '../plain-review'
import type { Entry } from './entry'
import type { Beside } from './fold'
import { sidesIn } from './side'

/** Kinds that name a state which lies beside the journal. */
const BEGINS = new Set(['journal.from', 'journal.goOver'])

/** Does a journal begin from a state that was handed on, without what was done before? */
export const beginsFromState = (entries: readonly Pick<Entry, 'kind'>[]): boolean =>
  entries[1]?.kind === 'journal.from'

/** Can an entry of this kind not be read without what lies beside the journal? */
export const readsBeside = (kind: string): boolean => kind === 'side.take' || BEGINS.has(kind)

/**
 * All that reading these entries needs from beside the journal: side journals that were taken in, and states that it begins
 * from. What is not here or damaged is left out, and its entry is named when the journal is folded.
 */
export async function besideOf(
  entries: readonly Pick<Entry, 'kind' | 'payload'>[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
): Promise<Required<Beside>> {
  const sides = await sidesIn(entries, bytesAt)
  const states = new Map<string, PlainReview>()
  for (const { kind, payload } of entries) {
    const { state } = (payload ?? {}) as { state?: unknown }
    if (!BEGINS.has(kind) || typeof state !== 'string' || states.has(state)) continue
    const bytes = await bytesAt(state)
    const read = bytes && stateIn(bytes)
    if (read) states.set(state, read)
  }
  return { side: (digest) => sides.get(digest), state: (digest) => states.get(digest) }
}

function stateIn(bytes: Uint8Array): PlainReview | undefined {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as PlainReview
  } catch {
    return undefined
  }
}
