import { canonicalJson } from '../base'
import type { Command } from './commands'
import { kindNamed } from './kinds'
import type { Review } from './values'

/**
 * What the field that a command writes holds now: as much of it as the command would set, in the form of its payload.
 * Undefined where there is no such thing, or where a command of this kind writes no field that is typed into.
 */
export function heldBy(review: Review, { kind, payload }: Command): unknown {
  const { held } = kindNamed(kind)!
  return held === 'never' ? undefined : held(review, payload)
}

const same = (a: unknown, b: unknown): boolean => canonicalJson(a ?? null) === canonicalJson(b ?? null)

/**
 * What is to become of an edit that was left unfinished: `typed` would write the field, which held `held` when the
 * typing began, and holds something else now, perhaps. Parts that were not typed into keep what they hold now.
 * `done`: the field holds it already. `ask`: the same part was changed both here and there, and a person has to choose.
 */
export function takeOver(
  review: Review,
  typed: Command,
  held: unknown,
): { take: Command } | { done: true } | { ask: { now: unknown } } {
  const now = heldBy(review, typed)
  if (same(now, held)) return { take: typed }
  const parts = (value: unknown): Record<string, unknown> =>
    typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {}
  // What was typed into is gone: only a person can say whether it should come back.
  if (now === undefined) return { ask: { now } }
  const [mine, base, theirs] = [parts(typed.payload), parts(held), parts(now)]
  const changed = Object.keys(mine).filter((k) => k in theirs && !same(mine[k], base[k]))
  if (changed.every((k) => same(mine[k], theirs[k]))) return { done: true }
  if (changed.some((k) => !same(theirs[k], base[k]) && !same(theirs[k], mine[k]))) return { ask: { now } }
  const kept = Object.fromEntries(
    Object.keys(mine).map((k) => [k, changed.includes(k) || !(k in theirs) ? mine[k] : theirs[k]]),
  )
  return { take: { kind: typed.kind, payload: kept } as Command }
}
