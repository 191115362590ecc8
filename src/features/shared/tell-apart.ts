import { importOf, partitionOfAll, withRules, type Brought, type Slow } from '@/core/doing'
import type { Rec } from '@/core/records'
import type { Command, Import, Review } from '@/core/review'
import type { Laying } from '@/store/blobs'
import type { Store } from '@/store/store'
import { callback, longDesk } from '@/workers'

/** Told how many records of how many are compared; stops by answering no. */
export type Told = (done: number, of: number) => boolean

/** What the rules need that takes long: comparing in the worker, and laying down what came of it. */
const slow = ({ keepBytes }: Laying, told: Told = () => true): Slow => ({
  match: (imports) => longDesk().match([...imports], callback(told)),
  keep: keepBytes,
})

/** The command that puts what the rules make of these imports into force; undefined where it was stopped. */
export const partitionCommand = (
  laying: Laying,
  imports: readonly Import[],
  told?: Told,
): Promise<Command | undefined> => partitionOfAll(slow(laying, told), imports)

const reviewOf = (store: Store): Review => store.session.getState().folded.review

/** Does commands that change which records stand, with the rules; false where it was stopped, and then nothing is done. */
async function doWithRules(
  store: Store,
  laying: Laying,
  commands: readonly Command[],
  told?: Told,
): Promise<boolean> {
  const all = await withRules(reviewOf(store), commands, slow(laying, told))
  if (all) await store.actAll(all)
  return all !== undefined
}

/**
 * Brings records in, each part that came together, and does what `more` says of their imports: one deed. False where it was
 * stopped, and then nothing is in.
 */
export function bringIn(
  store: Store,
  laying: Laying,
  brought: readonly Brought[],
  told?: Told,
  {
    before = [],
    behind = () => [],
  }: {
    /** Done before them: a round that they belong to. */
    before?: readonly Command[]
    behind?: (importIds: readonly string[]) => readonly Command[]
  } = {},
): Promise<boolean> {
  const { newId, now } = store
  const review = reviewOf(store)
  const rounds = before.flatMap((c) => (c.kind === 'round.begin' ? [{ ...c.payload, from: 0 }] : []))
  const at = { review: { ...review, rounds: [...review.rounds, ...rounds] }, now: now(), newId }
  const imports = brought.map((one) => importOf(at, one))
  return doWithRules(
    store,
    laying,
    [...before, ...imports, ...behind(imports.map((i) => i.payload.id))],
    told,
  )
}

/** Puts a mended record in its place. */
export async function mend(store: Store, importId: string, position: number, record: Rec): Promise<void> {
  await store.lay(async (laying) => {
    const { rest: _rest, ...part } = await laying.keepRecords([record])
    await doWithRules(store, laying, [{ kind: 'record.mend', payload: { importId, position, ...part } }])
  })
}
