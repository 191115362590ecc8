import { numberIn, partsOf } from './number'

/** Whose counts a sentence says were typed in, and whose taken from a history. */
export interface ByHand {
  typed: string[]
  pasted: string[]
}

const HISTORY = 'from (?:its search history|their search histories)'

export function countsByHand(sentence: string): ByHand | undefined {
  const typed = new RegExp(
    `^(?:The counts of (.*?) were typed in by hand|Typed in by hand were the counts of (.*?))(?:, and those of (.*) taken ${HISTORY})?\\.$`,
  ).exec(sentence)
  if (typed) return { typed: partsOf((typed[1] ?? typed[2])!), pasted: typed[3] ? partsOf(typed[3]) : [] }
  const pasted = new RegExp(
    `^(?:The counts of (.*) were taken ${HISTORY}|Taken ${HISTORY} were the counts of (.*))\\.$`,
  ).exec(sentence)
  return pasted ? { typed: [], pasted: partsOf((pasted[1] ?? pasted[2])!) } : undefined
}

/** How many searches a sentence says were logged wrongly and corrected. */
export function countsCorrected(sentence: string): { runs: number } | undefined {
  const m =
    /^(?:(\w+|[\d,]+) runs? (?:was|were) logged wrongly at first and corrected, with why in Appendix B|Logged wrongly at first and corrected, with why in Appendix B, (?:was|were) (\w+|[\d,]+) runs?)\.$/.exec(
      sentence,
    )
  const runs = numberIn(m?.[1] ?? m?.[2])
  return runs === undefined ? undefined : { runs }
}
