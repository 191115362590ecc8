import { numberIn } from './number'

/** A reason in words, with how many went out for it. */
export interface ReasonRead {
  words: string
  count: number
}

/** Reasons behind each other: "no pupils: 3, other reasons: 2". */
export const reasonsIn = (list: string | undefined): ReasonRead[] =>
  (list?.split(/(?<=: [\d,]+), /) ?? []).map((part) => {
    const [, words = '', n] = /^(.*): ([\d,]+)$/.exec(part) ?? []
    return { words, count: numberIn(n) ?? Number.NaN }
  })
