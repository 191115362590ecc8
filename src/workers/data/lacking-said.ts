import { fetchAgain, tellOfLackingData, type LackingData } from './data-door'

/** What a worker says of files that it waits for, and what is said to it to ask for them anew. */
export interface LackingSaid {
  lackingData: readonly LackingData[]
}
export const ASK_AGAIN = 'luvren: ask again'

export const isLackingSaid = (data: unknown): data is LackingSaid =>
  typeof data === 'object' && data !== null && 'lackingData' in data

/** In a worker: the page is told of files that are late, and may ask for them anew. */
export function sayWhatIsLacking(): void {
  tellOfLackingData((lackingData) => postMessage({ lackingData } satisfies LackingSaid))
  addEventListener('message', (event) => {
    if ((event as MessageEvent).data === ASK_AGAIN) fetchAgain()
  })
}
