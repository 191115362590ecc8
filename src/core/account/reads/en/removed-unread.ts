import { numberIn } from './number'
import { reasonsIn, type ReasonRead } from './reasons'

export interface RemovedUnread {
  works: number
  /** Absent in short. */
  reasons: ReasonRead[]
}

export function removedUnread(sentence: string): RemovedUnread | undefined {
  const m =
    /^(?:Before anything was read, ([\d,]+) works? (?:was|were) removed|([\d,]+) works? (?:was|were) removed before anything was read)(?: \((.*)\))?\.$/.exec(
      sentence,
    )
  const works = numberIn(m?.[1] ?? m?.[2])
  return works === undefined ? undefined : { works, reasons: reasonsIn(m![3]) }
}
