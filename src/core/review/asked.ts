import { digestOf } from '../base'
import type { Criterion, PassName } from './selection-values'

/** The questions of a pass, as they can be asked: those that have words. */
export const questionsOf = ({ criteria }: { criteria: readonly Criterion[] }, pass: PassName): Criterion[] =>
  criteria.filter((c) => c.pass === pass && c.text.trim())

/** The answer by which a question leads out. */
export const leadsOut = (c: Pick<Criterion, 'sense'>): 'yes' | 'no' => (c.sense === 'in' ? 'no' : 'yes')

const wordings = new Map<string, string>()
const encoder = new TextEncoder()

/** The digest of the words of a question with what a yes means: one that is turned round is another question. */
export function wordingOf({ text, sense }: Pick<Criterion, 'text' | 'sense'>): string {
  const words = `${sense}\n${text.trim()}`
  let digest = wordings.get(words)
  if (digest === undefined) wordings.set(words, (digest = digestOf(encoder.encode(words))))
  return digest
}

/** What was asked, once for each different set of questions: thousands of rulings share it. */
const sets = new Map<string, Readonly<Record<string, string>>>()

/** Of each question of a pass that is shown, its id and the digest of its words; undefined where there is none. */
export function askedNow(
  review: { criteria: readonly Criterion[] },
  pass: PassName,
): Readonly<Record<string, string>> | undefined {
  const asked = questionsOf(review, pass).map((c): [string, string] => [c.id, wordingOf(c)])
  if (!asked.length) return undefined
  const key = asked.flat().join('\n')
  let set = sets.get(key)
  if (!set) sets.set(key, (set = Object.freeze(Object.fromEntries(asked))))
  return set
}
