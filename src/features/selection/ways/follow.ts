import { noteStep } from '@/core/doing'
import type { Rec } from '@/core/records'
import { type Source } from '@/core/review'
import { sourceInfo } from '@/standins/source-info'
import type { Store } from '@/store/store'
import { recordsDesk, searchDesk } from '@/workers'
import { bringIn } from '../../shared/tell-apart'

export interface StepTaken {
  named: number
  known: number
  /** That came in. */
  added: number
}

/**
 * Follows the references of works: what they cite, or what cites them, in every invented database that knows references.
 * What is a work of the review already is recognised by its number there; the others come in under this way. The step is an
 * entry, also where it brought nothing new.
 */
export async function follow(store: Store, source: Source, workIds: readonly string[]): Promise<StepTaken> {
  const { session, newId, now, lay } = store
  const { folded, told } = session.getState()
  const { review } = folded
  const direction = source.kind === 'citing papers' ? 'citing' : 'cited'
  const all = told.ruled.works.works.map((w) => w.id)
  const found: Rec[] = []
  let named = 0
  for (const database of review.sources.filter((s) => s.kind === 'database')) {
    const { searched } = sourceInfo(review, database)
    if (!searched) continue
    const numbers = await recordsDesk().numbersIn(database.id, workIds)
    if (!numbers.length) continue
    const records = await searchDesk().followed(searched, numbers, direction)
    named += records.length
    const here = new Set([
      ...(await recordsDesk().numbersIn(database.id, all)),
      // What an earlier step brought from there has its number there, too.
      ...(await recordsDesk().numbersIn(source.id, all)),
    ])
    found.push(...records.filter((r) => !here.has(r.id)))
  }
  const step = {
    id: newId(),
    sourceId: source.id,
    of: [...workIds],
    named,
    known: named - found.length,
    at: now(),
  }
  if (!found.length) {
    await store.doIt(noteStep, step)
    return { named, known: step.known, added: 0 }
  }
  await lay(async (laying) =>
    bringIn(
      store,
      laying,
      [{ sourceId: source.id, at: await laying.keepRecords(found), count: found.length }],
      undefined,
      { behind: ([importId]) => [{ kind: 'step.follow', payload: { ...step, importId } }] },
    ),
  )
  return { named, known: step.known, added: found.length }
}
