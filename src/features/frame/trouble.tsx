'use client'
import { Button } from 'antd'
import { plural } from '@/core/base'
import { packOpenReview, retrySave, useSession } from '@/store/session'
import { fileName, saveFile } from '@/ui/save-file'

/** Says what keeps the work from being saved, and how to get it out. */
export function Trouble() {
  const trouble = useSession((s) => s.trouble)
  const state = useSession((s) => s.state)
  const title = useSession((s) => s.folded.review.title)
  const lost = useSession((s) => s.lost)
  if (lost && !trouble && state === 'saved')
    return (
      <div className="trouble" role="alert">
        {plural(lost, 'record')} that {lost === 1 ? 'was' : 'were'} brought in {lost === 1 ? 'is' : 'are'} no
        longer in the storage of this browser, and the works behind them are not shown. Open a package of this
        review from the shelf: what it holds is put back.
      </div>
    )
  if (!trouble && state !== 'full' && state !== 'failed') return null
  const words =
    trouble ??
    (state === 'full'
      ? 'The storage of this browser is full: what you did last is shown here but not yet saved. Free some space and try again, or save a package now.'
      : 'What you did last could not be saved. Try again, or save a package now.')
  return (
    <div className="trouble" role="alert">
      {words}{' '}
      <Button size="small" onClick={retrySave}>
        Try again
      </Button>{' '}
      <Button
        size="small"
        onClick={() =>
          void packOpenReview().then((bytes) =>
            saveFile(fileName(title, 'luvren.zip'), bytes as BlobPart, 'application/zip'),
          )
        }
      >
        Save a package
      </Button>
    </div>
  )
}
