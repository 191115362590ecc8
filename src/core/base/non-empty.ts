/** A list that holds something: a sentence that is written from one can have no empty place. */
export type NonEmpty<T> = readonly [T, ...T[]]

/** The list, if it holds something. */
export const nonEmpty = <T>(list: readonly T[]): NonEmpty<T> | undefined =>
  list.length ? (list as unknown as NonEmpty<T>) : undefined
