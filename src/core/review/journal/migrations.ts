/** The version in which entries are written now. Version 1 is the first. */
export const SCHEMA_VERSION = 8
/** From this version on entries are of the second form. */
export const SECOND_FORM = 6

export interface Versioned {
  v: number
  seq: number
  kind: string
  payload: unknown
}

type Payload = Record<string, unknown>
const isPayload = (value: unknown): value is Payload => typeof value === 'object' && value !== null

/** The first form named a work by its DOI, or by a source and a number in it; see `works/old-names.ts`. */
const asRecord = ({ workId, ...rest }: Payload): Payload => ({
  ...rest,
  ...(typeof workId === 'string' ? { recordId: `was:${workId}` } : {}),
})

/** How the first form is read: what an import was called is kept, and it is named by its entry. */
const SECOND: Record<string, (payload: Payload, seq: number) => Payload> = {
  'records.import': ({ id, ...rest }, seq) => ({ ...rest, id: `e${seq}`, was: id }),
  'ruling.set': asRecord,
  'ruling.remove': asRecord,
}

/** `MIGRATIONS[n]` lifts an entry of version n to version n + 1. Small, one-way, never changed once released. */
const MIGRATIONS: Record<number, (entry: Versioned) => Versioned> = {
  // Version 1 called the wording of a criterion "question" and had no `sense`: every criterion was one to keep by.
  1: (entry) => {
    if (entry.kind !== 'criterion.set' || !isPayload(entry.payload)) return entry
    const { question, ...rest } = entry.payload
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
  // Version 6 is the first of the second form: rulings name records, imports are never replaced.
  5: (entry) => {
    const lift = Object.hasOwn(SECOND, entry.kind) ? SECOND[entry.kind] : undefined
    return lift && isPayload(entry.payload) ? { ...entry, payload: lift(entry.payload, entry.seq) } : entry
  },
  // Version 7 has the kinds and fields that persons, counted lines, other ways, headings seen, plans of the second form and
  // handing on need; entries of version 6 hold as they are, for what they lack means what it meant then.
  6: (entry) => entry,
  // Version 8 has descriptions of the second form, fields that only described databases have, and searches made before the
  // record began; entries of version 7 hold as they are.
  7: (entry) => entry,
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
