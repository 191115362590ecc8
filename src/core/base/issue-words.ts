import type { z } from 'zod'
import { listed, plural } from './text'

const KINDS: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of parts',
  record: 'a group of parts',
}

/**
 * What is wrong with one value of a file or a form, so that it reads on after the name of its place: "must not be
 * empty", "is missing". What a schema says in words of its own is left as it is.
 */
export function issueWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      if (/received undefined$/.test(issue.message)) return 'is missing'
      return `must be ${KINDS[issue.expected] ?? issue.expected}`
    case 'too_small':
      return least(issue)
    case 'too_big':
      return most(issue)
    case 'invalid_value':
      return `must be ${listed(
        issue.values.map((v) => (typeof v === 'string' ? `“${v}”` : String(v))),
        'or',
      )}`
    case 'unrecognized_keys':
      return `holds ${plural(issue.keys.length, 'part')} not known here: ${listed(issue.keys)}`
    case 'invalid_union':
      return 'is none of the forms that it can have'
    default:
      return issue.message
  }
}

function least({ origin, minimum }: z.core.$ZodIssueTooSmall): string {
  const n = Number(minimum)
  if (origin === 'string')
    return n <= 1 ? 'must not be empty' : `must have at least ${plural(n, 'character')}`
  if (origin === 'array' || origin === 'set') return `must hold at least ${n === 1 ? 'one' : n}`
  return `must be at least ${n}`
}

function most({ origin, maximum }: z.core.$ZodIssueTooBig): string {
  const n = Number(maximum)
  if (origin === 'string') return `must have at most ${plural(n, 'character')}`
  if (origin === 'array' || origin === 'set') return `must hold at most ${n === 1 ? 'one' : n}`
  return `must be at most ${n}`
}

/** All that is wrong with a value, each with its place: "In fields.0.form: must hold {expr} exactly once." */
export const issuesInWords = (error: z.ZodError): { at: string; words: string }[] =>
  error.issues.map((issue) => ({ at: issue.path.map(String).join('.'), words: issueWords(issue) }))
