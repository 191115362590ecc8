'use client'
import { lazy, Suspense, useLayoutEffect, useState, type ComponentType, type ReactNode } from 'react'

/** How long is waited before what did not come is asked for once more, in milliseconds. */
const ONCE_MORE = 800
/** How long a screen is left to itself before the parts behind it are fetched, in milliseconds. */
const AFTER = 400

/** What belongs to the screens that were begun and is not fetched yet. */
const ahead: (() => Promise<unknown>)[] = []
let fetching = false
/** Fetches, one after another and while nobody waits, what may be shown next: whoever asks for it then need not wait. */
function fetchAhead(): void {
  if (fetching || typeof window === 'undefined') return
  fetching = true
  const idle = (work: () => void): unknown =>
    'requestIdleCallback' in window ? requestIdleCallback(work) : setTimeout(work, AFTER)
  const next = (): void => {
    const load = ahead.shift()
    if (!load) {
      fetching = false
      return
    }
    // What fails here is asked for again when it is shown, and told then.
    load().then(
      () => idle(next),
      () => idle(next),
    )
  }
  setTimeout(() => idle(next), AFTER)
}

/** Parts that are shown and not here yet, and what waits for the last of them. */
let coming = 0
const held: (() => void)[] = []
/** Does work at once, or where a part of what is shown is still coming, when that is here; false where it has to wait. */
export function whenHere(work: () => void): boolean {
  if (coming === 0) return true
  held.push(work)
  return false
}
/** Stands in the place of a part that is coming. */
function Coming({ children }: { children: ReactNode }): ReactNode {
  useLayoutEffect(() => {
    coming++
    return () => {
      coming--
      // Behind the part's own effects: what it offers must be there.
      if (coming === 0) setTimeout(() => held.splice(0).forEach((work) => work()))
    }
  }, [])
  return children
}

/**
 * A part of a screen whose program comes behind the screen itself, so that this does not wait for it. Until it is there
 * `meanwhile` stands in its place, and keys wait for it, unless it is `beside` what one works at. What cannot be fetched
 * twice fails as a screen does.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { meanwhile = null, beside = false }: { meanwhile?: ReactNode; beside?: boolean } = {},
): ComponentType<P> {
  let here: ComponentType<P> | undefined
  const fetched = async (): Promise<ComponentType<P>> => (here ??= await load())
  const Part = lazy(() =>
    fetched()
      .catch(() => new Promise<void>((done) => setTimeout(done, ONCE_MORE)).then(fetched))
      .then((part) => ({ default: part })),
  )
  ahead.push(fetched)
  fetchAhead()
  return function Later(props: P) {
    // Chosen once: another kind of element in its place would begin anew, and what was typed in it be gone.
    const [Here] = useState(() => here)
    return Here ? (
      <Here {...props} />
    ) : (
      <Suspense fallback={beside ? meanwhile : <Coming>{meanwhile}</Coming>}>
        <Part {...props} />
      </Suspense>
    )
  }
}
