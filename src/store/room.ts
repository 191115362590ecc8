import type { StorageAsked } from './environment'

/** Below so many bytes, or so small a share of all that there is, room is called little. */
const LITTLE_BYTES = 50 * 2 ** 20
const LITTLE_SHARE = 0.05

export interface RoomLeft {
  clearable: boolean
  littleRoom: boolean
}

/**
 * Asks the browser, at the first real work, not to clear its storage by itself, and how much room there is. Where the
 * browser says nothing, nothing is claimed.
 */
export class Room {
  private clearable: Promise<boolean> | undefined

  constructor(private readonly storage: StorageAsked | undefined) {}

  async ask(): Promise<RoomLeft> {
    if (!this.storage) return { clearable: false, littleRoom: false }
    this.clearable ??= this.askToKeep(this.storage)
    const { usage = 0, quota } = await this.storage.estimate()
    const left = quota === undefined ? Infinity : quota - usage
    return {
      clearable: await this.clearable,
      littleRoom: left < LITTLE_BYTES || (quota !== undefined && left < quota * LITTLE_SHARE),
    }
  }

  private async askToKeep(storage: StorageAsked): Promise<boolean> {
    return !(await storage.persisted()) && !(await storage.persist())
  }
}
