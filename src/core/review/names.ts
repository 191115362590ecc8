import { z } from 'zod'
import { Id } from '../base'

export const Text = z.string().max(200_000)

/** SHA-256 of bytes that lie beside the journal. */
export const Digest = z.string().regex(/^[0-9a-f]{64}$/)

/** The id of somebody who works on the review. In journals of the first form a name stands in its place. */
export const PersonId = z.string().max(200)
/** Somebody who works on the review. Their name stands in an entry of its own, which may be withheld. */
export const Person = z.object({
  id: Id,
  name: z.string().trim().min(1).max(200).optional(),
  /** What they were called in the first form. */
  was: z.array(z.string().max(200)).optional(),
})
export type Person = z.infer<typeof Person>

/** The name of an import within its review. */
export const ImportId = z.string().regex(/^[\w-]{1,100}$/)
/**
 * The name of a record: its import and its place in it, from 1; never a number from the file. Behind `was:` stands what
 * a journal of the first form called the work.
 */
export const RecordId = z.string().regex(/^(?:[\w-]{1,100}\/[1-9]\d*|was:.{1,400})$/s)
export const recordId = (importId: string, place: number): string => `${importId}/${place}`
/** The import of a record, by its name. */
export const importOf = (name: string): string => name.slice(0, name.lastIndexOf('/'))

/** Two ids that stand for one person, because that person worked in two browsers. */
export const SamePerson = z.object({ a: PersonId, b: PersonId, why: Text })
export type SamePerson = z.infer<typeof SamePerson>
