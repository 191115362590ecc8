import { numberIn } from './number'

/** How many of those that the search of a source found were brought in, and whether it hands out no more. */
export interface BroughtShort {
  source: string
  found: number
  brought: number
  most: boolean
  /** By which order they were the first. */
  rankedBy?: string
}

const SAID =
  /^(?:Of ([\d,]+) found in (.+), ([\d,]+) (?:was|were) brought in|In (.+) ([\d,]+) were found, of which ([\d,]+) (?:was|were) brought in)(, the most that it hands out)?(?:, the first by (.+))?\.$/

export function broughtShort(sentence: string): BroughtShort | undefined {
  const m = SAID.exec(sentence)
  const [found, brought] = [numberIn(m?.[1] ?? m?.[5]), numberIn(m?.[3] ?? m?.[6])]
  return m && found !== undefined && brought !== undefined
    ? {
        source: (m[2] ?? m[4])!,
        found,
        brought,
        most: m[7] !== undefined,
        ...(m[8] === undefined ? {} : { rankedBy: m[8] }),
      }
    : undefined
}
