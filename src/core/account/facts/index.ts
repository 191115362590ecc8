import { asTold } from '../as-run'
import { wordsOfInline, type Inline } from '../document'
import type { Fact, FactContext, Reader } from './fact'
import { DEPOSIT } from './deposit'
import { QUESTION } from './question'
import { TERMS } from './terms'
import { SEARCHES } from './searches'
import { RECORDS } from './records'
import { SELECTION } from './selection'
import { PROTOCOL } from './protocol'
import { READING } from './reading'
import { SEARCH_REVIEW } from './search-review'
import { SOURCE_GONE } from './source-gone'
import { WAYS } from './ways'

export type { Fact, FactContext, SourceFacts, Stage } from './fact'
export { knownBefore } from './known-items'

/** One reader for each kind of fact; `ref` is its name, with what it is about behind a colon. */
const READERS = {
  ...QUESTION,
  ...TERMS,
  ...SEARCHES,
  ...RECORDS,
  ...SELECTION,
  ...READING,
  ...WAYS,
  ...PROTOCOL,
  ...SEARCH_REVIEW,
  ...SOURCE_GONE,
  ...DEPOSIT,
} satisfies Record<string, Reader>

/** What a fact is called; words ask for facts by these names alone. */
export type FactName = keyof typeof READERS
export const FACT_NAMES: readonly string[] = Object.keys(READERS)

/** The value of a fact as the record has it now; with `^` before its name, as a sentence begins with it. A fact that nobody knows says so in its text. */
export function resolveFact(context: FactContext, ref: string): Fact {
  if (ref.startsWith('^')) {
    const fact = resolveFact(context, ref.slice(1))
    return { ...fact, text: fact.text.slice(0, 1).toUpperCase() + fact.text.slice(1) }
  }
  const colon = ref.indexOf(':')
  const name = colon < 0 ? ref : ref.slice(0, colon)
  const reader = (READERS as Record<string, Reader>)[name]
  if (!reader)
    return { text: `[${ref}?]`, stage: 'methods', from: 'no fact of this name is known', missing: true }
  return { missing: false, ...reader(asTold(context), colon < 0 ? '' : ref.slice(colon + 1)) }
}

/** A part of a text as it reads: a fact as the record has it now. */
export const inlineWords = (context: FactContext, node: Inline): string =>
  wordsOfInline(node, (ref) => resolveFact(context, ref).text)
