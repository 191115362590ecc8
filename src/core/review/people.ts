import type { Person, Review } from './values'

/** What a person is called. An id that nobody is named by is said as it is: in the first form it is a name. */
export const nameOfPerson = ({ people }: Pick<Review, 'people'>, id: string): string => {
  const person = people.find((p) => p.id === id)
  return person ? (person.name ?? `reader ${people.indexOf(person) + 1}, whose name was left out`) : id
}

/** The person who bears this name. */
export const personNamed = ({ people }: Pick<Review, 'people'>, name: string): Person | undefined =>
  people.find((p) => p.name === name)
