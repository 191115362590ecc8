/** As much of a work as a record of it is found by. */
interface Findable {
  id: string
  title: string
  year?: number | undefined
  doi?: string | undefined
}

/** What a record of a work is found by; absent values stay absent. */
export const askedOf = ({ id, title, year, doi }: Findable) => ({
  id,
  title,
  ...(year === undefined ? {} : { year }),
  ...(doi === undefined ? {} : { doi }),
})
