import { describe, expect, it } from 'vitest'
import type { StorageAsked } from './environment'
import { Room } from './room'

const storage = (persist: boolean, usage: number, quota?: number) => {
  const asked: string[] = []
  const of: StorageAsked = {
    persist: () => {
      asked.push('persist')
      return Promise.resolve(persist)
    },
    persisted: () => Promise.resolve(false),
    estimate: () => Promise.resolve({ usage, ...(quota === undefined ? {} : { quota }) }),
  }
  return { of, asked }
}
const MB = 2 ** 20

describe('room in the storage of a browser', () => {
  it('is asked to be kept once, and a refusal is told', async () => {
    const { of, asked } = storage(false, 0, 1000 * MB)
    const room = new Room(of)
    expect(await room.ask()).toEqual({ clearable: true, littleRoom: false })
    await room.ask()
    expect(asked).toEqual(['persist'])
    expect(await new Room(storage(true, 0, 1000 * MB).of).ask()).toMatchObject({ clearable: false })
  })

  it('is called little before it is gone, and nothing is claimed where the browser says nothing', async () => {
    expect(await new Room(storage(true, 960 * MB, 1000 * MB).of).ask()).toMatchObject({ littleRoom: true })
    expect(await new Room(storage(true, 90_000 * MB, 100_000 * MB).of).ask()).toMatchObject({
      littleRoom: false,
    })
    expect(await new Room(storage(true, 5).of).ask()).toMatchObject({ littleRoom: false })
    expect(await new Room(undefined).ask()).toEqual({ clearable: false, littleRoom: false })
  })
})
