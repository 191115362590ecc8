import type { Store } from '@/store/store'
import { fetchDemo } from '@/workers'
import { takePackage } from './take-package'

/** The id under which the demo review is kept. */
export const DEMO_ID = 'demo'

/** Puts the demo review on the shelf if it is not there and gives its id. Throws with words for a reader. */
export async function shelveDemo(store: Store): Promise<string> {
  const bytes = await fetchDemo()
  const read = await takePackage(store, new Blob([bytes as Uint8Array<ArrayBuffer>]), { demo: true })
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join(' '))
  return read.value
}
