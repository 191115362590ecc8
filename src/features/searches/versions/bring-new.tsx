import { App, Button } from 'antd'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import { inRound, standingImports, type Review, type Run } from '@/core/review'
import { releaseWords } from '@/standins'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/standins/source-info'
import type { ComeAndGone } from '@/core/records'
import { bringIn } from '../../shared/tell-apart'

/** When a round was begun, as far as anything was brought in or run in it. */
const begun = (review: Review, roundId: string): string | undefined =>
  [...review.imports, ...review.runs]
    .filter((x) => x.roundId === roundId)
    .map((x) => x.at)
    .sort()[0]

/**
 * Brings what a later search found anew into an update: a round of its own, so that what was brought before and what was
 * ruled stay as they are, and the flow tells both. Shown until the records of that run are in the review.
 */
export function BringNew({
  review,
  info,
  run,
  found,
}: {
  review: Review
  info: SourceInfo
  run: Run
  found: ComeAndGone
}) {
  const store = useStore()
  const { message } = App.useApp()
  const records = [...found.added, ...found.foundNow]
  const { source } = info
  const own = standingImports(review).filter((i) => i.sourceId === source.id)
  const last = review.rounds.at(-1)
  const update = last?.kind === 'update' ? last : undefined
  // An update goes on where this source has brought nothing into it yet; else another begins.
  const goesOn = update && !own.some((i) => i.roundId === update.id)
  const brought = own.some((i) => {
    const from = review.runs.find((r) => r.id === i.runId)
    return from !== undefined && from.key === run.key && from.release === run.release
  })
  if (!records.length || !own.length || brought) return null
  const since = update && begun(review, update.id)
  const bring = async (): Promise<void> => {
    const { act, lay, newId, now, session } = store
    if (!goesOn)
      await act('round.begin', {
        id: newId(),
        kind: 'update',
        why: run.release ? `searched again in the ${releaseWords(run.release)}` : 'searched again',
      })
    await lay(async (laying) => {
      await bringIn(store, laying, {
        id: newId(),
        sourceId: source.id,
        ...(await laying.keepRecords(records)),
        count: records.length,
        at: now(),
        ...inRound(session.getState().folded.review),
        runId: run.id,
      })
    })
    message.success(
      `${plural(records.length, 'record')} came into the update. What was brought in and ruled before stays as it is.`,
    )
  }
  return (
    <p className="note">
      {goesOn
        ? `An update goes on${since ? `, begun on ${dateWords(since)}` : ''}. `
        : 'What is new can come into an update of the review: earlier records and rulings stay as they are, and the flow tells both. '}
      <Button size="small" onClick={() => store.deed(bring())}>
        {goesOn ? 'Bring the' : 'Begin an update with the'} {plural(records.length, 'new one')}
        {goesOn ? ' into it' : ''}
      </Button>
    </p>
  )
}
