import { expect, it } from 'vitest'
import { readAll } from './formats/format'
import { changedFields, readAgain, withTypeSet } from './read-again'
import type { Rec } from './record'

const RIS =
  'TY  - JOUR\nTI  - Rooms\nAU  - Lund, E.; Prins, D.\nM3  - Review\nT2  - Halls\nER  - \nTY  - JOUR\nTI  - Doors\nAU  - Lund, E.\nER  - \n'
const read = (version: number) =>
  new Map(
    readAll(RIS, { format: 'ris' }, 'f', version).items.flatMap((i) =>
      i.record ? [[i.position, i.record] as const] : [],
    ),
  )

it('what a newer reader makes of a file that was brought in before is told field by field, and nothing of what stays', () => {
  const again = readAgain(read(2), read(3))
  expect(again.gone).toEqual([])
  expect(again.came).toEqual([])
  expect(again.changed).toEqual([
    {
      position: 1,
      title: 'Rooms',
      changes: [
        { label: 'Authors', before: 'Lund, E.\\; Prins, D.', after: 'Lund, E.; Prins, D.' },
        { label: 'Type', before: 'review', after: 'journal article' },
      ],
    },
  ])
  expect(changedFields(again)).toEqual([
    { label: 'Authors', records: 1 },
    { label: 'Type', records: 1 },
  ])
  expect(readAgain(read(2), new Map([...read(3)].slice(0, 1))).gone).toEqual([2])
})

it('a type that is set for many is said of those alone, and no longer concluded', () => {
  const records = [...read(3).values()].map((r): Rec => ({ ...r, inferred: ['type'] }))
  const set = withTypeSet(records, new Set([1]), 'report')
  expect(set.map((r) => [r.type, r.inferred])).toEqual([
    ['journal article', ['type']],
    ['report', undefined],
  ])
})
