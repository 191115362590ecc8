import { workOf, type PassName, type ReadingAsked, type Review, type Ruled, type Work } from '../review'
import { held } from '../base'
import type { PassCounts } from './counts'

/** What somebody is asked to read in a copy that was handed on without rulings: nothing else is shown in it. */
export interface ReadingCopy {
  asked: readonly ReadingAsked[]
  /** The passes that are asked for, in their order. */
  passes: readonly PassName[]
}

/** What is to be read in this copy; undefined where it is a review like any other. */
export function readingCopy({
  from,
  asked = [],
}: {
  from?: Review['from'] | undefined
  asked?: Review['asked'] | undefined
}): ReadingCopy | undefined {
  if (from === undefined || !asked.length) return undefined
  return {
    asked,
    passes: (['broad', 'close'] as const).filter((pass) => asked.some((a) => a.pass === pass)),
  }
}

/** The works that are asked for in a pass, in the order of the review. */
export function worksAsked(
  { asked }: ReadingCopy,
  pass: PassName,
  works: readonly Work[],
): ReadonlySet<string> {
  return new Set(
    asked
      .filter((a) => a.pass === pass)
      .flatMap((a) => a.records.flatMap((id) => workOf(works, id)?.id ?? [])),
  )
}

/** How far one reader has come with these works. */
export function ownCounts(
  ids: ReadonlySet<string>,
  { byWork }: Pick<Ruled, 'byWork'>,
  pass: PassName,
  reader: string,
): PassCounts {
  const counts = { total: ids.size, in: 0, out: 0, unsure: 0, toSettle: 0, left: 0 }
  for (const id of ids) counts[held(byWork, id)?.[`${pass}/${reader}`]?.verdict ?? 'left']++
  return counts
}
