import { plainJson, thousands } from '../core/base'
import {
  fold,
  foldFrom,
  plainReview,
  snapshotOf,
  type Beside,
  type Entry,
  type Folded,
  type Snapshot,
} from '../core/review'

/** A place in JSON: the names and numbers that lead to it. */
export type Path = readonly (string | number)[]

/** The first value in which two JSON values differ, as each has it; undefined where there is none. */
export function firstOther(
  a: unknown,
  b: unknown,
  path: Path = [],
): { path: Path; a: unknown; b: unknown } | undefined {
  if (!isHolder(a) || !isHolder(b) || Array.isArray(a) !== Array.isArray(b))
    return Object.is(a, b) ? undefined : { path, a, b }
  const steps = Array.isArray(a)
    ? Array.from({ length: Math.max(a.length, (b as unknown[]).length) }, (_, n) => n)
    : [...new Set([...Object.keys(a), ...Object.keys(b)])].sort()
  for (const step of steps) {
    const other = firstOther(at(a, [step]), at(b, [step]), [...path, step])
    if (other) return other
  }
  return undefined
}

/** What stands at a place; undefined where nothing does. */
export const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (of, step) =>
      isHolder(of) && Object.hasOwn(of, step) ? (of as Record<string | number, unknown>)[step] : undefined,
    value,
  )

const isHolder = (value: unknown): value is object => typeof value === 'object' && value !== null

/** "sources[2].why". */
export const pathWords = (path: Path): string =>
  path.map((step, n) => (typeof step === 'number' ? `[${step}]` : n ? `.${step}` : step)).join('')

/** A value as it is quoted in a sentence. */
export const quoted = (value: unknown): string => {
  const text = value === undefined ? undefined : JSON.stringify(value)
  return text === undefined ? 'not there' : text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text
}
const SHOWN = 80

const TEXT = /\.(?:md|tex|html|txt|csv|ris|json|jsonl|svg|ttl)$/

/** In a few words, what a file of a package says otherwise than what the review packs to, and where. */
export function whatDiffers(name: string, own: Uint8Array | undefined, now: Uint8Array | undefined): string {
  if (!own) return `${name} is not in the package, and the review packs to it.`
  if (!now) return `${name} is in the package, and the review does not pack to it.`
  const place = own.findIndex((byte, n) => byte !== now[n])
  if (!TEXT.test(name))
    return `${name} is not what this review packs to, from byte ${thousands(place < 0 ? own.length : place)} on.`
  const [mine, theirs] = [own, now].map((bytes) => new TextDecoder().decode(bytes).split('\n'))
  const line = mine!.findIndex((text, n) => text !== theirs![n])
  const n = line < 0 ? mine!.length : line
  const others = mine!.filter((text, i) => i > n && text !== theirs![i]).length
  const more = others ? `; ${thousands(others)} of the lines below it differ too` : ''
  const [was, is] = around(mine![n] ?? '', theirs![n] ?? '')
  return `${name}, line ${thousands(n + 1)}, says “${was}”, and the review comes to “${is}”${more}.`
}

/** Both lines from a little before the first character in which they differ. */
function around(a: string, b: string): [string, string] {
  let first = 0
  while (first < a.length && a[first] === b[first]) first++
  const from = first > SHOWN / 2 ? a.lastIndexOf(' ', first - SHOWN / 4) + 1 : 0
  const cut = (text: string): string =>
    `${from ? '…' : ''}${text.slice(from, from + SHOWN)}${text.length > from + SHOWN ? '…' : ''}`
  return [cut(a), cut(b)]
}

/** The same of the file that holds what the journal comes to: in which value, and since which entry it is what it is. */
export function reviewDiffers(
  name: string,
  own: Uint8Array,
  now: Uint8Array,
  entries: readonly Entry[],
  beside: Beside,
): string {
  let other: ReturnType<typeof firstOther>
  try {
    const [mine, theirs] = [own, now].map((bytes) => JSON.parse(new TextDecoder().decode(bytes)) as unknown)
    other = firstOther(mine, theirs)
  } catch {
    return whatDiffers(name, own, now)
  }
  // The same values, written otherwise.
  if (!other) return whatDiffers(name, own, now)
  const { path, a, b } = other
  const since = sinceWhen(entries, beside, path, b)
  return `${name}: ${pathWords(path)} is ${quoted(a)}, and in the review ${quoted(b)}${since === undefined ? '' : ` since entry ${since}`}.`
}

/** In a journal with more entries it is not looked for since when a value is what it is: each of them is gone through. */
const SOUGHT_IN = 3000

/** The entry since which this value stands at this place of the review, without a change in between. */
function sinceWhen(
  entries: readonly Entry[],
  beside: Beside,
  path: Path,
  value: unknown,
): number | undefined {
  if (entries.length > SOUGHT_IN) return undefined
  const is = plainJson(value)
  let since: number | undefined
  let before: Snapshot | undefined
  for (let n = 1; n <= entries.length; n++) {
    const some = entries.slice(0, n)
    const folded: Folded = (before && foldFrom(before, some, beside)) ?? fold(some, beside)
    before = snapshotOf(some, folded)
    if (plainJson(at(plainReview(folded.review), path)) !== is) since = undefined
    else since ??= entries[n - 1]!.seq
  }
  return since
}
