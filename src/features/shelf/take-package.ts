import type { Result } from '@/core/base'
import type { Store } from '@/store/store'
import { callback, longDesk, WorkerGone } from '@/workers'

/** What is being done with a package that is taken in, and how far it is, in parts of its own, where that is known. */
export interface Taking {
  words: string
  progress?: { value: number; max: number }
}

/** Takes a package in, checked whole in the worker for long work while the page goes on. */
export async function takePackage(
  store: Store,
  file: Blob,
  how: { demo?: boolean; beside?: boolean } = {},
  told: (taking: Taking) => void = () => undefined,
): Promise<Result<string>> {
  const desk = longDesk()
  let number: number | undefined
  const there = (): Promise<Result<string>> =>
    store.takePackage(file, how, async (f) => {
      const hears = (value: number, max: number): void =>
        told({ words: 'Checking the package', progress: { value, max } })
      const read = await desk.openPackage(f, callback(hears))
      if (!read.ok) return read
      const { number: own, ...opened } = read.value
      number = own
      const max = opened.digests.length
      let value = 0
      const blob = async (digest: string): Promise<Uint8Array> => {
        told({ words: 'Putting it on the shelf', progress: { value, max } })
        const bytes = await desk.blob(own, digest)
        if (++value === max) told({ words: 'Counting its works' })
        return bytes
      }
      return { ...read, value: { ...opened, blob } }
    })
  try {
    return await there()
  } catch (error) {
    if (!(error instanceof WorkerGone)) throw error
    // Without the worker it is opened here: slower, and the page stands still meanwhile.
    return store.takePackage(file, how)
  } finally {
    if (number !== undefined) await desk.close(number)
  }
}
