import { useEffect, useState } from 'react'
import type { Rec } from '@/core/records'
import type { Work } from '@/core/review'
import { useStore } from '@/page/provider'
import { recordsDesk } from '@/workers'

/** So many works behind the one being read are fetched with it, so that the next is there at once. */
const AHEAD = 6

interface Fetched {
  works: readonly Work[]
  records: ReadonlyMap<string, Rec | Error>
}

/** What is shown of the work at a place, or why it cannot be shown; neither until it has come. */
export function useShown(works: readonly Work[], at: number): { record?: Rec; failed?: string } {
  const { deed } = useStore()
  const [fetched, setFetched] = useState<Fetched>({ works, records: new Map() })
  // A record that came in or left may have changed what is shown of any work: what is shown stays until it is known anew.
  const current = fetched.works === works
  useEffect(() => {
    const wanted = works.slice(Math.max(0, at - 1), at + AHEAD).map((w) => w.id)
    const missing = wanted.filter((id) => !current || !fetched.records.has(id))
    if (!missing.length) return
    let asked = true
    const take = (found: readonly (readonly [string, Rec | Error])[]): void => {
      if (asked)
        setFetched((f) => ({ works, records: new Map([...(f.works === works ? f.records : []), ...found]) }))
    }
    deed(
      recordsDesk()
        .shown(missing)
        .then(
          (found) => take(found.map(({ id, record }) => [id, record])),
          (error: unknown) => {
            const why = error instanceof Error ? error : new Error(String(error))
            take(missing.map((id) => [id, why]))
          },
        ),
    )
    return () => {
      asked = false
    }
  }, [works, at, current, fetched, deed])
  const found = works[at] && fetched.records.get(works[at].id)
  if (found instanceof Error) return { failed: found.message }
  return found ? { record: found } : {}
}
