import type { Result } from '@/core/base'
import {
  leaveOut,
  planEntries,
  readableOf,
  readReview,
  type HandedFrom,
  type LeftOut,
  type ReadReview,
} from '@/core/handed'
import { blobsOf, newerProblem, packInto, type Entry } from '@/core/review'
import { handedWith } from '@/standins/handed-with'
import { fetchData } from './data/data-door'
import { vocabularyData } from './data/data-files'
import { drawing } from './figures'
import type { GoOn } from './pace'
import type { BlocksHere } from './records/blocks-here'

/** A review that is to be handed on: its journal with what is being typed, and what is not on disk yet. */
export interface ToPack {
  entries: readonly Entry[]
  beside: ReadonlyMap<string, Uint8Array>
  unfinished: readonly unknown[]
}

/** How it is handed on: as it is, without something, or as the plan of another review, which begins in this name. */
export type HandedAs =
  | ({ as: 'review'; handedBy?: { at: string; by: string } } & LeftOut)
  | { as: 'plan'; id: string; title: string; at: string; by: string }

/** What files for people are made from, in a worker. */
export const handedHere = async (read: ReadReview): Promise<HandedFrom> =>
  handedWith(read, await drawing(), async (info) =>
    new TextDecoder().decode(await fetchData(vocabularyData(info)!)),
  )

/**
 * Packs a review that lies in this browser, with everything that people read, one part after another. `goOn` is told parts
 * of parts; undefined where it was stopped.
 */
export async function packHere(
  blocks: BlocksHere,
  { entries, beside, unfinished }: ToPack,
  how: HandedAs,
  goOn?: GoOn,
): Promise<Result<Blob> | undefined> {
  const sides = new Set(entries.filter((e) => e.kind === 'side.take').flatMap(blobsOf))
  const bytesAt = async (digest: string): Promise<Uint8Array | undefined> =>
    beside.get(digest) ?? (await (sides.has(digest) ? blocks.asStored(digest) : blocks.bytes(digest)))
  const handed =
    how.as === 'review'
      ? await leaveOut(entries, how, bytesAt, how.handedBy && { ...how.handedBy, salt: newSalt })
      : undefined
  if (handed && !handed.ok) return handed
  const kept = handed?.value
  const own = kept?.entries ?? (await ofThePlan(entries, bytesAt, how as HandedAs & { as: 'plan' }))
  const named = [...new Set(own.flatMap(blobsOf))]
  const there: string[] = []
  for (const digest of named)
    if (
      !kept?.without.has(digest) &&
      (kept?.instead.has(digest) || beside.has(digest) || (await blocks.has([digest])))
    )
      there.push(digest)
  const held = new Set(there)
  const blob = async (digest: string): Promise<Uint8Array> => {
    const bytes = kept?.instead.get(digest) ?? (await bytesAt(digest))
    if (!bytes) throw new Error('Something that was here a moment ago is gone.')
    return bytes
  }
  const from = await handedHere(
    await readReview(own, async (digest) => (held.has(digest) ? blob(digest) : undefined)),
  )
  if (goOn && !(await goOn(0, there.length))) return undefined
  const small = new Map<string, Uint8Array>()
  for (const { digest } of from.review.frozenTexts ?? [])
    if (held.has(digest)) small.set(digest, await blob(digest))
  // Of what is only known in part, nothing is told to people: the record itself is packed alone.
  const readable = newerProblem(own) ? undefined : await readableOf(from, (digest) => small.get(digest))
  const pieces: Uint8Array[] = []
  let done = 0
  let stopped = false
  await packInto(
    {
      entries: own,
      digests: there,
      blob: async (digest) => {
        stopped ||= goOn !== undefined && !(await goOn(++done, there.length))
        if (stopped) throw new Error('stopped')
        return blob(digest)
      },
      leftOut: named.filter((d) => !held.has(d)).sort(),
      // What is being typed may tell what was read.
      unfinished: how.as === 'review' && !how.rulings ? unfinished : [],
    },
    from.review.title,
    (piece) => pieces.push(piece),
    readable,
  ).catch((error: unknown) => {
    if (!stopped) throw error
  })
  if (stopped) return undefined
  return { ok: true, value: new Blob(pieces as BlobPart[], { type: 'application/zip' }), problems: [] }
}

async function ofThePlan(
  entries: readonly Entry[],
  bytesAt: (digest: string) => Promise<Uint8Array | undefined>,
  { id, title, at, by }: HandedAs & { as: 'plan' },
): Promise<Entry[]> {
  const { review } = await readReview(entries, bytesAt)
  return planEntries(review, { id, title }, { at, by }, newSalt)
}

/** 32 hexadecimal digits of chance. */
const newSalt = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join('')
