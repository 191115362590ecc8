import { digestOf } from '@/core/base'
import { digestsOf, gather, layOut, type BlockDigests, type LaidOut, type Rec } from '@/core/records'
import { stored, unstored } from './compress'
import type { Connection } from './connection'
import { digestSoon } from './digest-soon'
import type { Locks } from './environment'

/** What can be laid down while nothing is swept away. */
export interface Laying {
  /** Lays bytes down, unchanged, and gives their digest. */
  keepBytes: (bytes: Uint8Array) => Promise<string>
  /** Lays records down, in a block for each kind of thing they hold. */
  keepRecords: (records: readonly Rec[]) => Promise<LaidOut>
  /** Lays bytes down whose digest was reckoned already, where they were checked. */
  keepChecked: (digest: string, bytes: Uint8Array) => Promise<void>
}

/** Held shared by whoever lays something down, until the entries that name it are written; exclusively by the sweep. */
export const LEASE = 'luvren-bytes'

export const decoded = (bytes: Uint8Array): unknown => JSON.parse(new TextDecoder().decode(bytes))

/** What lies beside the journals, by the digest of its bytes. Records that were read once stay at hand. */
export class Blobs {
  private readonly records = new Map<string, readonly Rec[]>()
  private readonly numbers = new Map<string, readonly number[]>()

  constructor(
    private readonly connection: Connection,
    private readonly locks: Locks,
  ) {}

  /**
   * Lays something down beside a journal. What `work` lays down is safe from the sweep until `work` has ended; the
   * entries that name it must be written by then.
   */
  lay<T>(work: (laying: Laying) => Promise<T>): Promise<T> {
    return this.locks.request(LEASE, { mode: 'shared' }, () =>
      work({
        keepBytes: (bytes) => this.keep(bytes),
        keepRecords: (records) => this.keepRecords(records),
        keepChecked: (digest, bytes) => this.keepAs(digest, bytes),
      }),
    )
  }

  private async keep(bytes: Uint8Array): Promise<string> {
    const digest = digestOf(bytes)
    await this.keepAs(digest, bytes)
    return digest
  }

  private async keepAs(digest: string, bytes: Uint8Array): Promise<void> {
    const as = await stored(bytes)
    await (await this.connection.get()).put('blobs', { digest, ...as })
  }

  private async keepRecords(records: readonly Rec[]): Promise<LaidOut> {
    const { at, bytes } = layOut(records)
    for (const [digest, own] of bytes) await this.keepAs(digest, own)
    this.records.set(keyOf(at), [...records])
    return at
  }

  /** What lies under a digest; undefined where this browser does not have it. */
  async bytes(digest: string): Promise<Uint8Array | undefined> {
    const found = await (await this.connection.get()).get('blobs', digest)
    return found && unstored(found)
  }

  /** The same, from memory where the database is not to be had: for saving what can be saved. */
  async rescued(digest: string): Promise<Uint8Array | undefined> {
    try {
      const bytes = await this.bytes(digest)
      if (bytes) return bytes
    } catch {
      // The database is gone: what is in memory is all there is.
    }
    for (const records of this.records.values()) {
      const block = layOut(records).bytes.get(digest)
      if (block) return block
      // A block of the first form holds everything, as it was written then.
      const whole = new TextEncoder().encode(JSON.stringify(records))
      if (digestOf(whole) === digest) return whole
    }
    return undefined
  }

  /** The numbers of a stored partition that were read. */
  numbersAt(digest: string): readonly number[] | undefined {
    return this.numbers.get(digest)
  }

  /** Reads the numbers of a stored partition; none where this browser does not have them or they are damaged. */
  async readNumbers(digest: string): Promise<void> {
    if (this.numbers.has(digest)) return
    const bytes = await this.bytes(digest)
    if (bytes && (await digestSoon(bytes)) === digest) this.numbers.set(digest, decoded(bytes) as number[])
  }

  /** The records of an import that are in memory. */
  at(of: BlockDigests): readonly Rec[] | undefined {
    return this.records.get(keyOf(of))
  }

  /** The records of an import; undefined where this browser does not have them or they are damaged. */
  async recordsOf(of: BlockDigests): Promise<readonly Rec[] | undefined> {
    const known = this.at(of)
    if (known) return known
    const blocks = new Map<string, unknown>()
    await Promise.all(
      digestsOf(of).map(async (digest) => {
        const bytes = await this.bytes(digest)
        if (bytes && (await digestSoon(bytes)) === digest) blocks.set(digest, decoded(bytes))
      }),
    )
    const records = gather(of, (digest) => blocks.get(digest))
    if (records) this.records.set(keyOf(of), records)
    return records
  }
}

const keyOf = (at: BlockDigests): string => digestsOf(at).join(' ')
