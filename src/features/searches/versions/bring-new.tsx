import { App, Button } from 'antd'
import { dateWords } from '@/core/account'
import { plural } from '@/core/base'
import type { Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { bringIntoUpdate, openUpdate, type FoundAnew } from './update-round'

/** When a round was begun, as far as anything was brought in or run in it. */
const begun = (review: Review, roundId: string): string | undefined =>
  [...review.imports, ...review.runs]
    .filter((x) => x.roundId === roundId)
    .map((x) => x.at)
    .sort()[0]

/** Brings what later searches found anew into an update of the review; nothing where there is nothing to bring. */
export function BringNew({ review, all }: { review: Review; all: readonly FoundAnew[] }) {
  const store = useStore()
  const { message } = App.useApp()
  if (!all.length) return null
  const update = openUpdate(
    review,
    all.map(({ source }) => source.id),
  )
  const since = update && begun(review, update.id)
  const count = all.reduce((n, { records }) => n + records.length, 0)
  const bring = async (): Promise<void> => {
    const came = await bringIntoUpdate(store, all)
    message.success(
      `${plural(came, 'record')} came into the update. What was brought in and ruled before stays as it is.`,
    )
  }
  return (
    <p className="note">
      {update
        ? `An update goes on${since ? `, begun on ${dateWords(since)}` : ''}. `
        : 'What is new can come into an update of the review: earlier records and rulings stay as they are, and the flow tells both. '}
      <Button size="small" onClick={() => store.deed(bring())}>
        {update ? 'Bring the' : 'Begin an update with the'} {plural(count, 'new one')}
        {update ? ' into it' : ''}
      </Button>
    </p>
  )
}
