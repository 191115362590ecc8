import { wrap, type Remote } from 'comlink'
import type { SearchDesk } from './search-desk'

export type { Counted, LineAnswer, Neighbourhood, Offer, Said } from './search-desk'

let desk: Remote<SearchDesk> | undefined

/** The worker in which all searching is done; started when it is first asked. */
export function searchDesk(): Remote<SearchDesk> {
  desk ??= wrap<SearchDesk>(new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }))
  return desk
}
