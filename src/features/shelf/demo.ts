/** The id under which the demo review is kept. */
export const DEMO_ID = 'demo'

/** Puts the demo review on the shelf if it is not there and gives its id. Throws with words for a reader. */
export async function shelveDemo(store: Store): Promise<string> {
  const { takePackage } = store
  const answer = await fetch('/data/demo.luvren.zip')
  if (!answer.ok)
    throw new Error(
      `The demo could not be read (${answer.status}). Start Luvren again with "npm run demo", which builds it.`,
    )
  const read = await takePackage(new Uint8Array(await answer.arrayBuffer()), true)
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join(' '))
  return read.value
}
import type { Store } from '@/store/store'
