import { keptFor } from '../base'
import type { Person, Review, SamePerson } from './values'

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

/** Who somebody in this browser can be: those who did something in the review or are named in it, with a name. */
export interface WhoHere {
  /** Named people of the review, the one who is called as this browser calls its reader first. */
  known: Person[]
}

/**
 * Is to be asked who somebody is that works on a review here, and who they can be? Not where they did something in it or are
 * named in it already, nor where nobody else did.
 */
export function whoIsHere(
  { people }: Pick<Review, 'people'>,
  entries: readonly { by: string }[],
  person: string,
  name: string,
): WhoHere | undefined {
  if (people.some((p) => p.id === person) || entries.some((e) => e.by === person)) return undefined
  const known = people.filter((p) => p.name !== undefined)
  const alike = (p: Person): boolean => name !== '' && p.name?.toLowerCase() === name.toLowerCase()
  return known.length ? { known: [...known].sort((a, b) => Number(alike(b)) - Number(alike(a))) } : undefined
}
