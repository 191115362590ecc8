import { drain } from '../base'
import { importOf, type Work } from '../review'

/** What is counted in one walk over works, whatever was said of them. */
export interface WorksCounted {
  /** Their records. */
  records: number
  /** Records of an import among them, by import. */
  byImport: ReadonlyMap<string, number>
  /** Works whose first record came with an import, by import. */
  firstBy: ReadonlyMap<string, number>
  /** Works that one source alone has, in all and by source. */
  once: number
  onceFrom: Readonly<Record<string, number>>
}

const counted = new WeakMap<readonly Work[], WorksCounted>()
/** So many works are counted in one step. */
const AT_ONCE = 2000

/** Counts works; in steps, so that a page can draw between. What was counted is kept for as long as the works are. */
export function* countInSteps(works: readonly Work[]): Generator<undefined, WorksCounted> {
  const known = counted.get(works)
  if (known) return known
  const byImport = new Map<string, number>()
  const firstBy = new Map<string, number>()
  const onceFrom: Record<string, number> = {}
  let [records, once] = [0, 0]
  const more = (of: Map<string, number>, id: string): void => {
    of.set(id, (of.get(id) ?? 0) + 1)
  }
  for (const [n, work] of works.entries()) {
    records += work.records.length
    more(firstBy, importOf(work.id))
    for (const name of work.records) more(byImport, importOf(name))
    const [only] = work.sources
    if (work.sources.length === 1 && only !== undefined) {
      once++
      onceFrom[only] = (onceFrom[only] ?? 0) + 1
    }
    if (n % AT_ONCE === AT_ONCE - 1) yield
  }
  const all = { records, byImport, firstBy, once, onceFrom }
  counted.set(works, all)
  return all
}

/** The same at once. */
export const countOf = (works: readonly Work[]): WorksCounted => drain(countInSteps(works))
