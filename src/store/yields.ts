import { create } from 'zustand'

/** How many works of the open review hold each term; nothing until the desk of records has counted them. */
export const useYields = create<{ yields: ReadonlyMap<string, number> | undefined }>(() => ({
  yields: undefined,
}))

export const keepYields = (yields: ReadonlyMap<string, number> | undefined): void =>
  useYields.setState({ yields })
