import { numberIn } from '../../reads/en/number'
import type { FactContext } from '../../facts'

/** Looks whether a sentence says something of a matter that the record has otherwise; gives then what the record has. */
export type Matter = (sentence: string, c: FactContext) => string | undefined

const ALL =
  /\b(?:all|every|each|both|whole|entire(?:ly)?|throughout|complete(?:ly|d)?|finished|in duplicate|any)\b/i
const NONE =
  /\b(?:no|not|none|nobody|no one|never|without|neither|nor|un(?:available|registered|read))\b|n['’]t\b/i

/** Does it speak of all of something? */
export const ofAll = (s: string): boolean => ALL.test(s)
/** Does it say that something is not so, or of nothing? */
export const denies = (s: string): boolean => NONE.test(s)

const NUMBER =
  '(\\d[\\d,]*|[Oo]ne|[Tt]wo|[Tt]hree|[Ff]our|[Ff]ive|[Ss]ix|[Ss]even|[Ee]ight|[Nn]ine|[Tt]en|[Ee]leven|[Tt]welve)'

/** Numbers that stand before what is counted: "six bibliographic databases" before `databases?`. */
export const countsOf = (s: string, what: string): number[] =>
  [
    ...s.matchAll(new RegExp(`\\b${NUMBER}(?: (?!of\\b|and\\b|or\\b)[a-z-]+){0,2}? (?:${what})\\b`, 'g')),
  ].flatMap(([, n]) => numberIn(n) ?? [])

/** "k of n": both numbers. */
export const partsIn = (s: string): { part: number; of: number }[] =>
  [...s.matchAll(new RegExp(`\\b${NUMBER} of (?:the |all )?${NUMBER}\\b`, 'g'))].flatMap(([, a, b]) => {
    const [part, of] = [numberIn(a), numberIn(b)]
    return part === undefined || of === undefined ? [] : [{ part, of }]
  })

/** What is planned is no claim of what was done. */
export const isPlan = (s: string): boolean =>
  /\b(?:plan(?:ned)? to|it is planned|planned|to be|will|still|as yet)\b/i.test(s)
