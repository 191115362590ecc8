'use client'
import { useRouter, useSelectedLayoutSegment } from 'next/navigation'
import { useMemo } from 'react'
import { goOn, isStopDone, stopOf } from '@/core/doing'
import { useActions, type Action } from '@/page/actions'
import { reviewAddress } from '@/page/address'
import { useSession } from '@/page/provider'
import { STOP_WORDS } from './stop-words'
import { STOPS_IN_ALL, useWalk, useWalkKept } from './use-walk'
import css from './walk-row.module.css'

/** The stop that somebody is at, below the stage: what to do there, and once it was done, what that was for. */
export function WalkRow() {
  useWalkKept()
  const { offered, walk, left, begin, go, leave } = useWalk()
  const entries = useSession((s) => s.entries)
  const id = useSession((s) => s.reviewId) ?? ''
  const stage = useSelectedLayoutSegment()
  const router = useRouter()
  const actions = useMemo<Action[]>(
    () =>
      offered && !walk
        ? [
            {
              id: 'walk',
              label: left ? 'Go on with the walk through this review' : 'Walk through this review',
              run: begin,
            },
          ]
        : [],
    // What begins it is the same for as long as these are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [offered, walk, left],
  )
  useActions('frame', 'walk', actions)
  const stop = walk && stopOf(walk)
  if (!walk || !stop) return null
  const words = STOP_WORDS[stop.id]
  const done = isStopDone(walk, entries)
  const here = stage === stop.stage
  const to = (by: 1 | -1): void => {
    const next = goOn(walk, entries.length, by)
    go(next)
    const at = next && stopOf(next)
    if (at && at.stage !== stage) router.push(reviewAddress(id, at.stage))
  }
  return (
    <section className={css.row} aria-label="The walk">
      <span className="number">
        {walk.stop + 1} of {STOPS_IN_ALL}
      </span>
      <div className={css.words} role="status">
        <b>{words.title}.</b>{' '}
        {done ? (
          words.then
        ) : here ? (
          words.how
        ) : (
          <>
            This is done under <span className={css.stage}>{stop.stage}</span>.
          </>
        )}
      </div>
      <div className={css.does}>
        {!here && (
          <button className="plain link" onClick={() => router.push(reviewAddress(id, stop.stage))}>
            Go there
          </button>
        )}
        {walk.stop > 0 && (
          <button className="plain link" onClick={() => to(-1)}>
            Back
          </button>
        )}
        <button className="plain link" onClick={() => to(1)}>
          {walk.stop + 1 === STOPS_IN_ALL ? 'End the walk' : done ? 'Go on' : 'Go on without it'}
        </button>
        <button className="plain link" onClick={leave}>
          Leave it for now
        </button>
      </div>
    </section>
  )
}
