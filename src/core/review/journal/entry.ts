import { z } from 'zod'
import { canonicalJson, digestOf } from '../../base'
import type { Command } from '../commands'
import { SCHEMA_VERSION, SECOND_FORM } from './migrations'

/** One thing done. `digest` binds it to everything before it. */
export interface Entry {
  /** From 0, without gaps. */
  seq: number
  /** ISO 8601 with zone. */
  at: string
  /** The id of the person who did it; in entries of the first form, a name. */
  by: string
  /** Schema version of the payload. Up to 5: an entry of the first form. */
  v: number
  kind: string
  /** Absent where it is withheld; then the chain holds all the same. */
  payload?: unknown
  /** 32 hexadecimal digits of chance, without which a payload that is withheld could be guessed. Withheld with it. */
  salt?: string
  payloadDigest?: string
  digest: string
}

const Sha256 = z.string().regex(/^[0-9a-f]{64}$/)
const common = {
  seq: z.int().min(0),
  at: z.iso.datetime({ offset: true }),
  by: z.string(),
  kind: z.string(),
  digest: Sha256,
}
const FirstForm = z.strictObject({
  ...common,
  v: z
    .int()
    .min(1)
    .max(SECOND_FORM - 1),
  payload: z.unknown(),
})
const SecondForm = z
  .strictObject({
    ...common,
    v: z.int().min(SECOND_FORM),
    salt: z
      .string()
      .regex(/^[0-9a-f]{32}$/)
      .optional(),
    payload: z.unknown().optional(),
    payloadDigest: Sha256,
  })
  .refine((e) => (e.salt === undefined) === (e.payload === undefined), {
    message: 'has a payload without its salt, or a salt without its payload',
  })

const isOfFirstForm = (entry: unknown): boolean =>
  typeof entry === 'object' && entry !== null && Number((entry as Entry).v) < SECOND_FORM

/** Is this an entry of the first form? */
export const ofFirstForm = (entry: Pick<Entry, 'v'>): boolean => entry.v < SECOND_FORM

/** Is the payload of this entry left out here? */
export const isWithheld = (entry: Entry): boolean => !ofFirstForm(entry) && entry.payload === undefined

/** Holds a value to the shape of an entry, in the form that its version says. */
export const readEntryShape = (value: unknown): z.ZodSafeParseResult<Entry> =>
  // Members that are absent are left absent by the schemas, which their types do not say.
  (isOfFirstForm(value) ? FirstForm : SecondForm).safeParse(value) as z.ZodSafeParseResult<Entry>

/** What stands before the first entry. */
export const FIRST_DIGEST = '0'.repeat(64)

/** SHA-256 of the salt and the canonical JSON of the payload. */
export const payloadDigestOf = (salt: string, payload: unknown): string =>
  digestOf(salt + canonicalJson(payload))

/**
 * SHA-256 of the digest before and the canonical JSON of the entry without its own: in the first form with the payload,
 * in the second with the digest of the payload, so that it can be reckoned where the payload is withheld.
 */
export function entryDigest(previous: string, entry: Omit<Entry, 'digest'>): string {
  const { seq, at, by, v, kind } = entry
  const held = ofFirstForm(entry) ? { payload: entry.payload } : { payloadDigest: entry.payloadDigest }
  return digestOf(previous + canonicalJson({ seq, at, by, v, kind, ...held }))
}

/** Who writes an entry, when, and the chance that goes into it. */
export interface Writing {
  at: string
  /** The id of the person. */
  by: string
  /** Their name, for an entry of the first form. */
  name?: string
  /** 32 hexadecimal digits, never used twice. */
  salt: string
}

/**
 * The next entry of a journal that ends with `last` (undefined: of an empty one). In a journal that has not gone over,
 * undoing and doing again are still written in the first form: they are about deeds of that form.
 */
export function nextEntry(last: Entry | undefined, command: Command, writing: Writing): Entry {
  const again = command.kind === 'undo' || command.kind === 'redo'
  const old = last !== undefined && ofFirstForm(last) && again
  const base = { seq: last ? last.seq + 1 : 0, at: writing.at, kind: command.kind }
  const entry: Omit<Entry, 'digest'> = old
    ? { ...base, by: writing.name ?? '', v: SECOND_FORM - 1, payload: command.payload }
    : {
        ...base,
        by: writing.by,
        v: SCHEMA_VERSION,
        salt: writing.salt,
        payload: command.payload,
        payloadDigest: payloadDigestOf(writing.salt, command.payload),
      }
  return { ...entry, digest: entryDigest(last?.digest ?? FIRST_DIGEST, entry) }
}

/** The same entry with its payload left out. Entries of the first form cannot be parted from theirs. */
export function withheld(entry: Entry): Entry {
  if (ofFirstForm(entry)) throw new Error('The payload of an entry of the first form cannot be withheld.')
  const { payload: _payload, salt: _salt, ...rest } = entry
  return rest
}
