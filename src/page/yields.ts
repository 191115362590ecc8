import { create } from 'zustand'

/** How many works of the open review hold each term; nothing until the desk of records has counted them. */
interface Yields {
  yields: ReadonlyMap<string, number> | undefined
  /**
   * They are being counted, or whoever has them counted is not here yet: a text that tells of them will read otherwise in a
   * moment.
   */
  counting: boolean
}

const NOT_YET: Yields = { yields: undefined, counting: true }
export const useYields = create<Yields>(() => NOT_YET)

export const keepYields = (kept: Yields = NOT_YET): void => useYields.setState(kept)
