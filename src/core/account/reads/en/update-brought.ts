import { numberIn } from './number'

export interface UpdateBrought {
  records: number
  works: number
  included: number
}

export function updateBrought(sentence: string): UpdateBrought | undefined {
  const m =
    /^(?:An update brought|By an update came) ([\d,]+) records?, ([\d,]+) of them new; (?:([\d,]+|none) of these (?:is|are) included(?: so far)?)\.$/.exec(
      sentence,
    )
  const [records, works, included] = [numberIn(m?.[1]), numberIn(m?.[2]), numberIn(m?.[3])]
  return records === undefined || works === undefined || included === undefined
    ? undefined
    : { records, works, included }
}
