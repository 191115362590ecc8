/**
 * Values by name in some hundreds of small records, so that a change of one value copies its own record and not all of
 * them: of 20,000 names in one record, a copy takes 20 ms. A name is always in the bucket that it has here; a bucket
 * with nothing in it is left out, so two of the same content are alike.
 */
export type Buckets<T> = Record<string, Record<string, T>>

const COUNT = 512

/** FNV-1a over the name, folded to so many buckets as there are. */
function bucketOf(name: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 0x01000193)
  return String((hash ^ (hash >>> 16)) & (COUNT - 1))
}

export function held<T>(buckets: Readonly<Buckets<T>>, name: string): T | undefined {
  const own = buckets[bucketOf(name)]
  return own && Object.hasOwn(own, name) ? own[name] : undefined
}

/** Puts a value in place. */
export function hold<T>(buckets: Buckets<T>, name: string, value: T): void {
  ;(buckets[bucketOf(name)] ??= {})[name] = value
}

/** Takes a value out in place; without one of that name, nothing happens. */
export function letGo<T>(buckets: Buckets<T>, name: string): void {
  const key = bucketOf(name)
  const own = buckets[key]
  if (!own || !Object.hasOwn(own, name)) return
  delete own[name]
  if (!Object.keys(own).length) delete buckets[key]
}

export const heldNames = (buckets: Readonly<Buckets<unknown>>): string[] =>
  Object.values(buckets).flatMap((own) => Object.keys(own))

export const heldValues = <T>(buckets: Readonly<Buckets<T>>): T[] =>
  Object.values(buckets).flatMap((own) => Object.values(own))

export const heldEntries = <T>(buckets: Readonly<Buckets<T>>): [name: string, value: T][] =>
  Object.values(buckets).flatMap((own) => Object.entries(own))

export const holdsNothing = (buckets: Readonly<Buckets<unknown>>): boolean => {
  for (const _ in buckets) return false
  return true
}

/** One record of a plain form, in buckets. */
export function inBuckets<T>(entries: Iterable<readonly [name: string, value: T]>): Buckets<T> {
  const buckets: Buckets<T> = {}
  for (const [name, value] of entries) hold(buckets, name, value)
  return buckets
}

/** The same with other values under some names; undefined takes one out. What is not touched is shared. */
export function withHeld<T>(
  buckets: Readonly<Buckets<T>>,
  changes: Iterable<readonly [name: string, value: T | undefined]>,
): Buckets<T> {
  const next = { ...buckets }
  const own = new Set<string>()
  for (const [name, value] of changes) {
    const key = bucketOf(name)
    if (!own.has(key) && next[key]) next[key] = { ...next[key] }
    own.add(key)
    if (value === undefined) letGo(next, name)
    else hold(next, name, value)
  }
  return next
}

/** The names under which two hold something else, as long as what is alike is shared. */
export function heldApart<T>(a: Readonly<Buckets<T>>, b: Readonly<Buckets<T>>): string[] {
  const apart: string[] = []
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const [was, is] = [a[key] ?? {}, b[key] ?? {}]
    if (was === is) continue
    for (const name in is) if (!Object.hasOwn(was, name) || is[name] !== was[name]) apart.push(name)
    for (const name in was) if (!Object.hasOwn(is, name)) apart.push(name)
  }
  return apart
}

/** The same one after the other, for whoever may stop before the last. */
export function* namesHeld(buckets: Readonly<Buckets<unknown>>): Generator<string, void> {
  for (const bucket of Object.values(buckets)) for (const name in bucket) yield name
}
