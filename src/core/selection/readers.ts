import { heldValues, type Buckets } from '../base'
import { agreementOf, tableOf, type Agreement } from './agreement'
import type { OwnRulings } from './standing'
import type { PassName } from '../review'

export interface ReaderPair extends Agreement {
  first: string
  second: string
}

/** How each two readers of a pass agree on the works on which both ruled. What nobody read says nothing of reading. */
export function agreementsIn(
  byWork: Readonly<Buckets<OwnRulings>>,
  pass: PassName,
  readers: readonly string[],
): ReaderPair[] {
  return readers.flatMap((first, n) =>
    readers.slice(n + 1).map((second) => {
      const said = heldValues(byWork).flatMap((own) => {
        const [a, b] = [own[`${pass}/${first}`], own[`${pass}/${second}`]]
        return a && b && !a.unread && !b.unread ? [[a.verdict, b.verdict] as const] : []
      })
      return { first, second, ...agreementOf(tableOf(said)) }
    }),
  )
}
