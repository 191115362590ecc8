import { z } from 'zod'
import { Id } from '../base'
import { Digest, ImportId, RecordId, Text } from './names'

/** Where a block of records lies, and those of what is kept apart from it. */
const Part = z.object({
  /** The block of bibliographic data; of the first form, the one block of everything. */
  digest: Digest,
  abstracts: Digest.optional(),
  /** What was read from a file and not understood, by tag. */
  unread: Digest.optional(),
  fullTexts: Digest.optional(),
})

/** Records brought in from a source; the records themselves lie beside the journal, in blocks of one kind each. */
export const Import = z.object({
  id: ImportId,
  /** What the first form called it. */
  was: Id.optional(),
  sourceId: Id,
  runId: Id.optional(),
  roundId: Id.optional(),
  ...Part.shape,
  /** Further blocks in their order, where there are more records than lie in one, each with how many are in it. */
  rest: z.array(Part.extend({ count: z.int().min(1) })).optional(),
  /** Broken records that were mended since, by their position in the file. */
  mended: z.array(Part.extend({ position: z.int().min(1) })).optional(),
  count: z.int().min(0),
  at: z.iso.datetime({ offset: true }),
  /** The export file it was read from, unchanged beside the journal. */
  file: z
    .object({
      name: Text,
      digest: Digest,
      /** How it was read: what of this is absent was so in files that were read before it was noted. */
      format: z.string().max(40).optional(),
      encoding: z.string().max(40).optional(),
      /** What its columns or tags were taken for, as JSON. */
      shape: z.string().max(100_000).optional(),
      /** The version of the reader that read it; absent: 1. It is read again by that one alone. */
      reader: z.int().min(1).optional(),
    })
    .optional(),
  /** Records of the file that could not be read: the line of each, and what is wrong with it. */
  broken: z
    .array(z.object({ position: z.int().min(1), line: z.int().min(1), why: Text }))
    .max(10_000)
    .optional(),
  /** The imports in whose place it stands, and why. Without a reason in the first form, which noted none. */
  supersedes: z.object({ ids: z.array(ImportId).min(1), because: Text.optional() }).optional(),
  takenOut: z.literal(true).optional(),
  /** Where not all that was found was taken: how many there were, how many of them were taken, ranked by what. */
  of: z.object({ hits: z.int().min(0), taken: z.int().min(0), rankedBy: Text }).optional(),
})
export type Import = z.infer<typeof Import>

/** Records that a person put together under a name; of a work it is enough that one of its records is in it. */
export const Group = z.object({ id: Id, name: Text.min(1), records: z.array(RecordId) })
export type Group = z.infer<typeof Group>

/** A question to the list of works that is kept by a name and stays current. */
export const SavedFilter = z.object({
  id: Id,
  name: Text.min(1),
  words: Text.optional(),
  chosen: z.record(z.string().max(40), z.array(z.string().max(2000)).max(500)).optional(),
  leftOut: z.record(z.string().max(40), z.array(z.string().max(2000)).max(500)).optional(),
})
export type SavedFilter = z.infer<typeof SavedFilter>

/** Records that were handed out of the review: when, in what form, how many works, with which fields. */
export const Export = z.object({
  id: Id,
  at: z.iso.datetime({ offset: true }),
  format: z.string().min(1).max(40),
  works: z.int().min(0),
  /** In their order; absent: all. */
  fields: z.array(z.string().max(40)).max(100).optional(),
  /** Which works they were, in words: "all", the name of a filter or a group. */
  which: Text,
})
export type Export = z.infer<typeof Export>

/** A value of a record that a person wrote, in the form of a table's cell. */
export const ValueSet = z.object({
  recordId: RecordId,
  field: z.string().min(1).max(40),
  value: Text,
  why: Text.optional(),
})
export type ValueSet = z.infer<typeof ValueSet>

/** What one work is to another: a version of it, a notice on it, a report of it. The last word on a pair counts. */
export const WorkRelated = z
  .object({
    a: RecordId,
    b: RecordId,
    how: z.enum(['version of', 'notice of', 'report of', 'nothing']),
    why: Text.optional(),
  })
  .refine((p) => p.a !== p.b, { message: 'A work is nothing to itself.' })
export type WorkRelated = z.infer<typeof WorkRelated>
