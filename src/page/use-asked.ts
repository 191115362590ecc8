import { startTransition, useEffect, useMemo, useState, type DependencyList } from 'react'
import { useSession, useStore } from './provider'
import { errorInWords } from '@/store/refusal'

export interface Asked<T> {
  /** The answer; undefined while there is none, or where there was nothing to ask. */
  value: T | undefined
  /** Why there is no answer, in words; the strip says it too. */
  failed: string | undefined
  waiting: boolean
}

export interface AskedOptions {
  /** How long what is asked must rest before it is asked, in milliseconds. */
  after?: number
  /** The last answer is shown until the next one comes; otherwise nothing is. */
  keep?: boolean
}

/**
 * The one way to ask something that answers later (a worker, the storage): asked again when `deps` change, as an effect
 * is run again, and where it failed when somebody wants what failed to be asked anew. An answer that was overtaken counts
 * for nothing. `ask` gives undefined where there is nothing to ask.
 */
export function useAsked<T>(
  ask: () => Promise<T> | undefined,
  deps: DependencyList,
  { after = 0, keep = false }: AskedOptions = {},
): Asked<T> {
  const { refuse } = useStore()
  const again = useSession((s) => s.askedAgain)
  const [found, setFound] = useState<{
    of: unknown
    round: number
    value: T | undefined
    failed: string | undefined
  }>()
  // What is asked is the same as long as the dependencies are; the lint rule checks them where the hook is used.
  // eslint-disable-next-line react-hooks/exhaustive-deps, react-hooks/use-memo
  const asked = useMemo(() => ({ ask }), deps)
  const own = found?.of === asked
  // What has its answer is not asked for another.
  const round = own && found.failed === undefined ? found.round : again
  useEffect(() => {
    let current = true
    const go = (): void => {
      asked.ask()?.then(
        (value) => {
          // Drawn in parts: an answer may be a long list, and the page has to answer meanwhile.
          if (current) startTransition(() => setFound({ of: asked, round, value, failed: undefined }))
        },
        (error: unknown) => {
          if (!current) return
          refuse(error)
          setFound({ of: asked, round, value: undefined, failed: errorInWords(error) })
        },
      )
    }
    const timer = after ? setTimeout(go, after) : undefined
    if (!after) go()
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [asked, after, refuse, round])
  return {
    value: own || keep ? found?.value : undefined,
    failed: own ? found.failed : undefined,
    waiting: !own,
  }
}
