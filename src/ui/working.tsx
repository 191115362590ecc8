'use client'
import { Button } from 'antd'

/** Long work: what is being done, how far it is, a way to stop it; once stopped, a way to begin again. */
export function Working({
  words,
  work,
}: {
  words: string
  work: {
    progress: { done: number; of: number } | undefined
    stopped: boolean
    failed: string | undefined
    stop: () => void
    again: () => void
  }
}) {
  const { progress, stopped, failed, stop, again } = work
  if (stopped || failed !== undefined)
    return (
      <p className="empty" role="status">
        {failed === undefined ? 'Stopped.' : `This could not be done: ${failed}`}{' '}
        <Button size="small" onClick={again}>
          Begin again
        </Button>
      </p>
    )
  return (
    <p className="empty" role="status">
      {words} …{' '}
      {progress && (
        <>
          {progress.done} of {progress.of}{' '}
          <progress value={progress.done} max={progress.of} aria-label={words} />{' '}
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        </>
      )}
    </p>
  )
}
