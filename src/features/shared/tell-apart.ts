import type { ZodType } from 'zod'
import { blockBytes, RULES_VERSION, type Rec } from '@/core/records'
import { KINDS, type Command, type CommandOf, type Import, type Kind, type Review } from '@/core/review'
import type { Laying } from '@/store/blobs'
import type { Store } from '@/store/store'
import { callback, longDesk } from '@/workers'

/** Told how many records of how many are compared; stops by answering no. */
export type Told = (done: number, of: number) => boolean

/** The command that puts what the rules make of these imports into force; undefined where it was stopped. */
export async function partitionCommand(
  { keepBytes }: Laying,
  imports: readonly Import[],
  told: Told = () => true,
): Promise<Command | undefined> {
  const found = await longDesk().match([...imports], callback(told))
  if (!found) return undefined
  return {
    kind: 'partition.set',
    payload: {
      rules: RULES_VERSION,
      imports: found.imports,
      digest: await keepBytes(blockBytes(found.classes)),
      toSettle: await keepBytes(blockBytes(found.toSettle)),
    },
  }
}

/** Is a review told apart by stored rules, or, having no records yet, about to be? */
export const hasRules = ({ partition, imports }: Pick<Review, 'partition' | 'imports'>): boolean =>
  partition !== undefined || imports.length === 0

/** A command that changes which records stand. */
type Bringing = CommandOf<'records.import'> | CommandOf<'record.mend'>

/** The imports as they will stand behind such a command. */
function importsAfter(review: Review, { kind, payload }: Bringing): Import[] {
  const after = { ...review, imports: [...review.imports] }
  ;(KINDS[kind] as Kind<ZodType<typeof payload>>).apply(after, payload, { seq: 0, at: '', by: '' })
  return after.imports
}

/**
 * Does a command that changes which records stand, as one deed with what the rules make of all records then. Where a review
 * still stands under the first form's rules, newer ones are offered elsewhere and change nothing here. Nothing is done
 * where it was stopped: gives false.
 */
async function doWithRules(store: Store, laying: Laying, command: Bringing, told?: Told): Promise<boolean> {
  const { review } = store.session.getState().folded
  const commands: Command[] = [command]
  if (hasRules(review)) {
    const partition = await partitionCommand(laying, importsAfter(review, command), told)
    if (!partition) return false
    commands.push(partition)
  }
  await store.actAll(commands)
  return true
}

/** Brings records in; false where it was stopped, and then nothing is in. */
export const bringIn = (store: Store, laying: Laying, brought: Import, told?: Told): Promise<boolean> =>
  doWithRules(store, laying, { kind: 'records.import', payload: brought }, told)

/** Puts a mended record in its place. */
export async function mend(store: Store, importId: string, position: number, record: Rec): Promise<void> {
  await store.lay(async (laying) => {
    const { rest: _rest, ...part } = await laying.keepRecords([record])
    await doWithRules(store, laying, { kind: 'record.mend', payload: { importId, position, ...part } })
  })
}
