import { z } from 'zod'
import { fail, issuesInWords, ok, problem, type Result } from '../base'
import { FIELDS, LIMIT_KINDS, LimitValue, type Field } from '../query'

const Sign = z.string().min(1).max(12)
const fieldNames = FIELDS.filter((f) => f !== 'text' && f !== 'any')

/** A form with a slot: "t{{expr}}" writes t{…}. The slot must be there, once. */
const form = (slot: string) =>
  z
    .string()
    .max(80)
    .refine((t) => t.split(`{${slot}}`).length === 2, { error: `must hold {${slot}} exactly once` })

/**
 * How far a code reaches: one word; one word or phrase; one of them or a bracket (`unit`, where nothing is said); always a
 * bracket; the words side by side up to the next operator; the rest of the row.
 */
export const REACHES = ['word', 'phrase', 'unit', 'bracket', 'run', 'row'] as const
export type Reach = (typeof REACHES)[number]

const OneField = z.enum(fieldNames as [Field, ...Field[]])

const AnyField = z.enum(['any', ...fieldNames] as [Field, ...Field[]])

const Limit = z.strictObject({
  /** How it is written; absent where it is set on the screen. `{from}` and `{to}` for years, `{values}` for lists. */
  form: z.string().max(120).optional(),
  /** Where on the screen it is set, for a person to do. */
  onScreen: z.string().max(200).optional(),
  /** What stands in for it where it is not exact: "document type journal article". */
  standIn: z.string().max(200).optional(),
  /** The limit that is set in its place. */
  as: LimitValue.optional(),
  /** What our values are called there: "article" is "Journal paper". Those that are missing are called as here. */
  values: z.record(z.string(), z.string().min(1).max(120)).optional(),
})

/** How a database speaks. Everything is data: a profile is written by users and shared as a JSON file. */
export const Profile = z.strictObject({
  /** Which version of this description it is, and of what day; absent where it was never changed since it was made. */
  version: z.int().min(1).optional(),
  day: z.iso.date().optional(),
  id: z.string().regex(/^[a-z0-9-]+$/, { error: 'small letters, digits and hyphens only' }),
  name: z.string().min(1),
  platform: z.string().optional(),
  coverage: z.string().optional(),
  help: z.string().optional(),
  kind: z.enum(['index with vocabulary', 'citation index', 'full-text library layer', 'catalogue', 'other']),
  operators: z.strictObject({
    and: z.array(Sign).min(1),
    or: z.array(Sign).min(1),
    /** Absent where there is no NOT. */
    not: z.array(Sign).min(1).optional(),
    /** Operators count only in capitals; small ones are words. */
    capitals: z.boolean().default(false),
    /** Tightest first; operators in one group bind alike, from left to right. */
    binding: z.array(z.array(z.enum(['and', 'or', 'not'])).min(1)).min(1),
  }),
  brackets: z.strictObject({ open: Sign, close: Sign }).default({ open: '(', close: ')' }),
  sideBySide: z.enum(['all', 'phrase', 'any']),
  quotes: z.strictObject({
    open: Sign,
    close: Sign,
    /** Quotes switch stemming off. */
    exact: z.boolean().default(true),
    /** Truncation signs work inside quotes. */
    signs: z.boolean().default(true),
  }),
  stemming: z.enum(['none', 'plurals', 'stems']).default('none'),
  stopWords: z.array(z.string()).default([]),
  truncation: z
    .strictObject({
      any: Sign.optional(),
      one: Sign.optional(),
      /** A form with {n}: up to n more characters. */
      upTo: form('n').optional(),
      /** The sign for any ending also stands in front of a word. */
      left: z.boolean().default(false),
      /** The signs may stand inside a word. */
      inside: z.boolean().default(false),
      shortestStem: z.int().min(0).default(0),
      mostForms: z.int().min(1).optional(),
    })
    .default({ left: false, inside: false, shortestStem: 0 }),
  nearness: z
    .strictObject({
      either: form('n').optional(),
      ordered: form('n').optional(),
      /** Does n count the words between, or the steps from one word to the other (side by side is 1)? */
      counts: z.enum(['between', 'steps']).default('between'),
      most: z.int().min(0).default(99),
    })
    .optional(),
  /** For each field or set of fields its form with {expr}. */
  fields: z
    .array(
      z.strictObject({ of: z.array(OneField).min(1), form: form('expr'), reach: z.enum(REACHES).optional() }),
    )
    .default([]),
  /** What stands between several codes at one place; absent where only one can stand there. */
  together: Sign.optional(),
  /** What is searched where no field is named. */
  any: z.array(OneField).min(1),
  /** Absent where there is no vocabulary. */
  headings: z
    .strictObject({
      vocabulary: z.string().optional(),
      plain: form('label'),
      below: form('label').optional(),
      main: form('label').optional(),
      belowMain: form('label').optional(),
    })
    .optional(),
  classes: z.strictObject({ plain: form('code'), below: form('code').optional() }).optional(),
  lines: z
    .strictObject({
      reference: form('n'),
      /** Other ways to name a line, which are read and not written. */
      also: z.array(form('n')).optional(),
      anyOf: form('list').optional(),
      allOf: form('list').optional(),
      /** A range inside a list, with {from} and {to}. */
      range: z.string().optional(),
      separator: Sign.default(', '),
      kept: z.enum(['always', 'session', 'never']),
    })
    .optional(),
  limits: z.partialRecord(z.enum(LIMIT_KINDS), Limit).default({}),
  /** A form with rows instead of a line to type in: which fields a row can be set to, what joins it to those above. */
  rows: z
    .strictObject({
      fields: z
        .array(z.strictObject({ of: z.array(AnyField).min(1), name: z.string().min(1).max(60) }))
        .min(1),
      joins: z.array(z.enum(['and', 'or', 'not'])).min(1),
      most: z.int().min(1).max(50),
    })
    .optional(),
  caps: z
    .strictObject({
      longestQuery: z.int().min(20).optional(),
      linesJoined: z.int().min(2).optional(),
      shown: z.int().min(1).optional(),
      exported: z.int().min(1).optional(),
      analysed: z.int().min(1).optional(),
    })
    .default({}),
  /** Notes that the write-up may use. */
  habits: z.array(z.string()).default([]),
  /** Queries in plain notation and what each must become: run when the description is brought in. */
  tests: z
    .array(z.strictObject({ query: z.string().min(1).max(2000), becomes: z.string().min(1).max(4000) }))
    .max(200)
    .optional(),
})
export type Profile = z.infer<typeof Profile>

/** Checks a profile read from a file. Every problem names the place in the file and what belongs there. */
export function readProfile(value: unknown): Result<Profile> {
  const read = Profile.safeParse(value)
  if (read.success) return ok(read.data)
  return fail(
    ...issuesInWords(read.error).map(({ at, words }) =>
      problem('profile', 'error', `In ${at || 'the file'}: ${words}.`, at || 'the file'),
    ),
  )
}
