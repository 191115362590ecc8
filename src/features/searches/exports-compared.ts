import { useEffect, useState } from 'react'
import { compareRecords, type Compared } from '@/core/records'
import { commandOf, type Entry, type Import } from '@/core/review'
import { recordsAt } from '@/store/session'

/** The files that were ever brought in from a source, the oldest first; the same file twice counts once. */
export function exportsOf(entries: readonly Entry[], sourceId: string): Import[] {
  const found: Import[] = []
  for (const entry of entries) {
    if (entry.kind !== 'records.import') continue
    const read = commandOf(entry)
    if (!read.ok || read.value.kind !== 'records.import' || read.value.payload.sourceId !== sourceId) continue
    if (found[found.length - 1]?.digest !== read.value.payload.digest) found.push(read.value.payload)
  }
  return found
}

/** The last two files against each other; undefined while they are read, or where there are not two. */
export function useExportsCompared(files: readonly Import[]): Compared | undefined {
  const [found, setFound] = useState<{ of: string; compared: Compared }>()
  const [before, after] = files.slice(-2).map((f) => f.digest)
  const of = `${before} ${after}`
  useEffect(() => {
    let current = true
    if (!before || !after) return
    void Promise.all([recordsAt(before), recordsAt(after)]).then(([earlier, later]) => {
      // Numbers come from the place in the file: they say nothing across two files.
      if (current && earlier && later)
        setFound({ of, compared: compareRecords(earlier, later, { byNumber: false }) })
    })
    return () => {
      current = false
    }
  }, [before, after, of])
  return found?.of === of ? found.compared : undefined
}
