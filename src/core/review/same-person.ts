import { keptFor } from '../base'
import { nameOf } from './people'
import type { Review, SamePerson } from './values'

const NOBODY: readonly SamePerson[] = []

const classes = keptFor((same: readonly SamePerson[]) => {
  const above = new Map<string, string>()
  const top = (id: string): string => {
    const to = above.get(id)
    return to === undefined ? id : top(to)
  }
  for (const { a, b } of same) {
    // The smaller id stands for both, in whatever order they were named.
    const [first, second] = [top(a), top(b)].sort()
    if (first !== second) above.set(second!, first!)
  }
  return top
})

/** The id that stands for a person, where somebody said that they have several; else their own. */
export const personId = (
  { samePersons }: { samePersons?: Review['samePersons'] | undefined },
  id: string,
): string => (samePersons?.length ? classes(samePersons ?? NOBODY)(id) : id)

/** Somebody who worked on a review, with how many deeds they did in it. */
export interface Known {
  id: string
  /** Absent where they have not said what they are called. */
  name?: string
  deeds: number
}

/**
 * Is to be asked who somebody is that works on a review here, and who they can be: whoever did something in it or is named in
 * it, the one first who is called as this browser calls its reader, then by deeds. Undefined where they did something in it
 * already, and where nobody else did.
 */
export function whoIsHere(
  { people }: Pick<Review, 'people'>,
  entries: readonly { by: string }[],
  person: string,
  name: string,
): Known[] | undefined {
  const deeds = new Map<string, number>()
  for (const { by } of entries) if (by) deeds.set(by, (deeds.get(by) ?? 0) + 1)
  if (deeds.has(person) || people.some((p) => p.id === person)) return undefined
  const known = [...new Set([...people.map((p) => p.id), ...deeds.keys()])].map((id): Known => {
    const called = nameOf({ people }, id)
    return { id, ...(called === undefined ? {} : { name: called }), deeds: deeds.get(id) ?? 0 }
  })
  const alike = (k: Known): boolean => name !== '' && k.name?.toLowerCase() === name.toLowerCase()
  return known.length
    ? known.sort((a, b) => Number(alike(b)) - Number(alike(a)) || b.deeds - a.deeds || (a.id < b.id ? -1 : 1))
    : undefined
}
