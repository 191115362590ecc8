import type { PassName, Settlement } from '../review'
import type { Placed, SaidOfWork } from './place'

/** A work that waits to be settled in a pass: for its rulings, or because all set it aside for different reasons. */
export interface ToSettle<W> {
  work: W
  pass: PassName
  why: 'rulings' | 'reasons'
}

/** What is to be settled, those of titles and abstracts first, in the order of the works. */
export function toSettleIn<W extends { id: string }>(
  works: readonly W[],
  placed: (id: string) => Placed,
): ToSettle<W>[] {
  const of = (pass: PassName): ToSettle<W>[] =>
    works.flatMap((work): ToSettle<W>[] => {
      const { conflict, reasonsDiffer } = placed(work.id)[pass]
      return conflict
        ? [{ work, pass, why: 'rulings' }]
        : reasonsDiffer
          ? [{ work, pass, why: 'reasons' }]
          : []
    })
  return [...of('broad'), ...of('close')]
}

/** What was settled of each work, the latest first. */
export function settledIn(
  works: readonly { id: string }[],
  said: ReadonlyMap<string, SaidOfWork>,
): { id: string; pass: PassName; settlement: Settlement }[] {
  return works
    .flatMap(({ id }) =>
      (['broad', 'close'] as const).flatMap((pass) => {
        const settlement = said.get(id)?.settled?.[pass]
        return settlement ? [{ id, pass, settlement }] : []
      }),
    )
    .sort((a, b) => ((a.settlement.at ?? '') < (b.settlement.at ?? '') ? 1 : -1))
}
