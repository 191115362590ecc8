import type { Person, Review } from './values'

/** The ids that are made for people begin so; what else stands where a person is named is a name of the first form. */
const MADE = /^p-/

/**
 * What a person is called; undefined where they have not said so yet. In a journal of the first form a name stands where
 * an id stands now.
 */
export function nameOf({ people }: Pick<Review, 'people'>, id: string): string | undefined {
  const person = people.find((p) => p.id === id)
  if (person) return person.name ?? `unnamed reader ${people.indexOf(person) + 1}`
  return id === '' || MADE.test(id) ? undefined : id
}

/** The same in words that can stand in a sentence. */
export const nameOfPerson = (review: Pick<Review, 'people'>, id: string): string =>
  nameOf(review, id) ?? 'somebody not named yet'

/** The person who bears this name. */
export const personNamed = ({ people }: Pick<Review, 'people'>, name: string): Person | undefined =>
  people.find((p) => p.name === name)
