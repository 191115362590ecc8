import type { Result } from '@/core/base'
import type { Store } from '@/store/store'
import { longDesk } from '@/workers'

/** Takes a package in, checked whole in the worker for long work while the page goes on. */
export async function takePackage(
  store: Store,
  file: Blob,
  how: { demo?: boolean; beside?: boolean } = {},
): Promise<Result<string>> {
  const desk = longDesk()
  let number: number | undefined
  try {
    return await store.takePackage(file, how, async (f) => {
      const read = await desk.openPackage(f)
      if (!read.ok) return read
      const { number: own, ...opened } = read.value
      number = own
      return { ...read, value: { ...opened, blob: (digest: string) => desk.blob(own, digest) } }
    })
  } finally {
    if (number !== undefined) await desk.close(number)
  }
}
