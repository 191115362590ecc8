import { numberIn } from './number'

/** How many a sentence says were set aside for a reason that is no question. */
export function textsReasons(sentence: string): { own: number } | undefined {
  const m =
    /^(?:For|The reason is none of the questions asked for) ([\d,]+) of those set aside(?:, the reason is none of the questions asked)?\.$/.exec(
      sentence,
    )
  const own = numberIn(m?.[1])
  return own === undefined ? undefined : { own }
}
