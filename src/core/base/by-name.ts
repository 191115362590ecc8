/**
 * An empty record for values by names that come from outside: it has nothing of its own, so that no name (`constructor`,
 * `__proto__`) finds what every object has, and each can be put in like any other.
 */
export const emptyByName = <T>(): Record<string, T> => Object.create(null) as Record<string, T>

/** A table that is asked with names from outside, which finds what is written in it and nothing else. */
export const byName = <T>(table: Readonly<Record<string, T>>): Readonly<Record<string, T>> =>
  Object.freeze(Object.assign(emptyByName<T>(), table))
