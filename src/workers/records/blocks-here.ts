import { digestsOf, gather, type BlockDigests, type Rec } from '@/core/records'
import type { Entry } from '@/core/review'
import { stored, unstored } from '@/store/compress'
import { Connection } from '@/store/connection'
import { openDatabase, readEntries } from '@/store/db'
import { Derived } from '@/store/derived'
import { digestSoon } from '@/store/digest-soon'
import { checkKeptState, type KeptState } from '@/store/kept-state'

export { Derived, type KeptState }

/**
 * Records as a worker reads them, from the database of this browser by the digests of their blocks. A connection that a
 * newer version or a deletion needs closed is let go, and opened again when it is next asked for.
 */
export class BlocksHere {
  private readonly connection = new Connection(openDatabase, () => undefined)

  /** What lies under a digest, if it is whole; undefined where it is not here or damaged. */
  async bytes(digest: string): Promise<Uint8Array | undefined> {
    const bytes = await this.asStored(digest)
    return bytes && (await digestSoon(bytes)) === digest ? bytes : undefined
  }

  /**
   * What is stored under a digest, which a side journal whose name was withheld is not of: whoever asks checks it in its
   * own way. Undefined where it is not here or damaged.
   */
  async asStored(digest: string): Promise<Uint8Array | undefined> {
    const found = await (await this.connection.get()).get('blobs', digest)
    return found && (await unstored(found))
  }

  /** The same as the value that it is written as. */
  async value(digest: string): Promise<unknown> {
    const bytes = await this.bytes(digest)
    return bytes && (JSON.parse(new TextDecoder().decode(bytes)) as unknown)
  }

  /** The journal of a review of this browser. */
  async entries(reviewId: string): Promise<Entry[]> {
    return readEntries(await this.connection.get(), reviewId)
  }

  /** The state that is kept of a review, held against its journal. */
  async wrongInKept(reviewId: string): Promise<KeptState | undefined> {
    return checkKeptState(await this.connection.get(), reviewId, (digest) => this.asStored(digest))
  }

  /** Are there bytes under all of these digests? Whether they are whole is seen when they are read. */
  async has(digests: readonly string[]): Promise<boolean> {
    const db = await this.connection.get()
    const found = await Promise.all(digests.map((digest) => db.getKey('blobs', digest)))
    return found.every((key) => key !== undefined)
  }

  /** Lays bytes down; the caller holds the lease until the entry that names them is written. */
  async keep(digest: string, bytes: Uint8Array): Promise<void> {
    const as = await stored(bytes)
    await (await this.connection.get()).put('blobs', { digest, ...as })
  }

  /** The records behind these digests, put together; undefined where their block is not here. */
  async records(of: BlockDigests): Promise<readonly Rec[] | undefined> {
    const blocks = new Map<string, unknown>()
    await Promise.all(digestsOf(of).map(async (digest) => blocks.set(digest, await this.value(digest))))
    return gather(of, (digest) => blocks.get(digest))
  }
}
