import { expect, it } from 'vitest'
import { HeadingsHeld } from './headings-held'

const read = (sourceId: string, ...labels: string[]) => ({
  sourceId,
  record: { headings: labels.map((label) => ({ label })) as never },
})

it('counts the records of a source that have a heading, each once, however it is written there', () => {
  const held = new HeadingsHeld('mere')
  held.add([read('mere', 'Noise', 'noise', 'Rooms'), read('fen', 'Noise', 'Echo')])
  held.add([read('mere', 'NOISE')])
  held.add([read('mere', 'Halls')])
  expect(held.most(2)).toEqual([
    { label: 'noise', records: 2 },
    { label: 'Halls', records: 1 },
  ])
})

it('has none where no record of the source has any', () => {
  const held = new HeadingsHeld('mere')
  held.add([read('fen', 'Noise'), read('mere')])
  expect(held.most(5)).toEqual([])
})
