import type { RecordsElsewhere } from './environment'

/**
 * Records read elsewhere, and here where that place cannot be had: then it is slower, and the page may stand still for a
 * moment, but a review can still be opened, read and saved.
 */
export function recordsAnywhere(elsewhere: RecordsElsewhere, here: RecordsElsewhere): RecordsElsewhere {
  const either =
    <In extends unknown[], Out>(
      there: (...input: In) => Promise<Out>,
      own: (...input: In) => Promise<Out>,
    ): ((...input: In) => Promise<Out>) =>
    async (...input) => {
      try {
        return await there(...input)
      } catch (error) {
        if (!(error instanceof Error) || error.name !== 'WorkerGone') throw error
        return own(...input)
      }
    }
  return {
    works: either(elsewhere.works, here.works),
    worksOf: either(elsewhere.worksOf, here.worksOf),
    check: either(elsewhere.check, here.check),
    wrongInKept: either(elsewhere.wrongInKept, here.wrongInKept),
    rescued: either(elsewhere.rescued, here.rescued),
    forget: either(elsewhere.forget, here.forget),
  }
}
