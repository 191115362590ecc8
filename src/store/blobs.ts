import { digestOf } from '@/core/base'
import type { Rec } from '@/core/records'
import type { Connection } from './connection'

/** Records as they lie under a digest. */
export const decoded = (bytes: Uint8Array): Rec[] => JSON.parse(new TextDecoder().decode(bytes)) as Rec[]
const encoded = (records: readonly Rec[]): Uint8Array => new TextEncoder().encode(JSON.stringify(records))

/** What lies beside the journals, by the digest of its bytes. Records that were read once stay at hand. */
export class Blobs {
  private readonly records = new Map<string, readonly Rec[]>()

  constructor(private readonly connection: Connection) {}

  /** Lays bytes down, unchanged, and gives their digest. */
  async keep(bytes: Uint8Array): Promise<string> {
    const digest = digestOf(bytes)
    await (await this.connection.get()).put('blobs', { digest, bytes })
    return digest
  }

  /** What lies under a digest; undefined where this browser does not have it. */
  async bytes(digest: string): Promise<Uint8Array | undefined> {
    return (await (await this.connection.get()).get('blobs', digest))?.bytes
  }

  /** The same, from memory where the database is not to be had: for saving what can be saved. */
  async rescued(digest: string): Promise<Uint8Array | undefined> {
    const known = this.records.get(digest)
    try {
      const bytes = await this.bytes(digest)
      if (bytes) return bytes
    } catch {
      // The database is gone: what is in memory is all there is.
    }
    const again = known && encoded(known)
    return again && digestOf(again) === digest ? again : undefined
  }

  async keepRecords(records: readonly Rec[]): Promise<string> {
    const digest = await this.keep(encoded(records))
    this.records.set(digest, [...records])
    return digest
  }

  /** The records under a digest that are in memory. */
  at(digest: string): readonly Rec[] | undefined {
    return this.records.get(digest)
  }

  /** The records under a digest; undefined where this browser does not have them or they are damaged. */
  async recordsAt(digest: string): Promise<readonly Rec[] | undefined> {
    const known = this.records.get(digest)
    if (known) return known
    const bytes = await this.bytes(digest)
    if (!bytes || digestOf(bytes) !== digest) return undefined
    const records = decoded(bytes)
    this.records.set(digest, records)
    return records
  }
}
