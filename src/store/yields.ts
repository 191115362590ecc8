import { create } from 'zustand'

/** How many works of the open review hold each term; nothing until the desk of records has counted them. */
interface Yields {
  yields: ReadonlyMap<string, number> | undefined
  /** They are being counted: a text that tells of them will read otherwise in a moment. */
  counting: boolean
}

export const useYields = create<Yields>(() => ({ yields: undefined, counting: false }))

export const keepYields = (kept: Yields): void => useYields.setState(kept)
