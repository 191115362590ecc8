/** The version in which entries are written now. Version 1 is the first. */
export const SCHEMA_VERSION = 5

export interface Versioned {
  v: number
  kind: string
  payload: unknown
}

/** `MIGRATIONS[n]` lifts an entry of version n to version n + 1. Small, one-way, never changed once released. */
const MIGRATIONS: Record<number, (entry: Versioned) => Versioned> = {
  // Version 1 called the wording of a criterion "question" and had no `sense`: every criterion was one to keep by.
  1: (entry) => {
    if (entry.kind !== 'criterion.set' || typeof entry.payload !== 'object' || entry.payload === null)
      return entry
    const { question, ...rest } = entry.payload as Record<string, unknown>
    return {
      ...entry,
      payload: { sense: 'in', ...rest, ...(question === undefined ? {} : { text: question }) },
    }
  },
  // Version 3 has known items, gaps, vocabularies and profiles. Entries of version 2 hold as they are; the number
  // rose because a snapshot made before lacks the new lists.
  2: (entry) => entry,
  // Version 4 has files kept as evidence; entries of version 3 hold as they are, for the same reason.
  3: (entry) => entry,
  // Version 5 has runs that correct others, and concepts as alternatives; entries of version 4 hold as they are.
  4: (entry) => entry,
}

/** Lifts an entry to the present version. An entry from a newer version is left as it is. */
export function migrate(entry: Versioned): Versioned {
  let lifted = entry
  for (let v = entry.v; v < SCHEMA_VERSION; v++) {
    const step = MIGRATIONS[v]
    if (!step) throw new Error(`No migration from version ${v}`)
    lifted = { ...step(lifted), v: v + 1 }
  }
  return lifted
}
