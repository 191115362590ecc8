import { digestsOf, gatherPart, layOut, partAt, type BlockPart, type Rec } from '@/core/records'
import { recordPlace, type Import } from '@/core/review'
import type { BlocksHere } from './blocks-here'

/** So many parts stay in memory, of some two thousand records each. */
const PARTS = 40

/** Reads records where they lie, a part at a time; the parts that were read last stay in memory. */
export class RecordReader {
  private readonly parts = new Map<string, Promise<readonly Rec[] | undefined>>()

  constructor(private readonly blocks: Pick<BlocksHere, 'records' | 'value'>) {}

  /** The record of this name in its import; undefined where this browser does not have it. */
  async record(of: Import, name: string): Promise<Rec | undefined> {
    const place = recordPlace(of, name)
    const at = partAt(of, place)
    if (!at) return (await this.whole(of))?.[place]
    return (await this.part(at.part))?.[at.place]
  }

  /** All records of an import, in their order; undefined where a part of them is not here or damaged. */
  async all(of: Import): Promise<readonly Rec[] | undefined> {
    if (of.mended?.length) return this.whole(of)
    const read = await Promise.all([of as BlockPart, ...(of.rest ?? [])].map((part) => this.part(part)))
    if (!read.every((p) => p !== undefined)) return undefined
    return read.length === 1 ? read[0]! : read.flat()
  }

  /** What lies under a digest, made again from records in memory; undefined where none of them has it. */
  async inMemory(digest: string): Promise<Uint8Array | undefined> {
    for (const part of this.parts.values()) {
      const bytes = layOut((await part) ?? []).bytes.get(digest)
      if (bytes) return bytes
    }
    return undefined
  }

  private part(part: BlockPart): Promise<readonly Rec[] | undefined> {
    return this.kept(part.digest, async () => {
      const blocks = new Map<string, unknown>()
      const digests = [part.digest, part.abstracts, part.unread, part.fullTexts]
      await Promise.all(
        digests.map(async (d) => {
          if (d !== undefined) blocks.set(d, await this.blocks.value(d))
        }),
      )
      return gatherPart(part, (digest) => blocks.get(digest))
    })
  }

  /** An import between whose records mended ones stand is read as one. */
  private whole(of: Import): Promise<readonly Rec[] | undefined> {
    return this.kept(digestsOf(of).join(' '), () => this.blocks.records(of))
  }

  private kept(
    key: string,
    read: () => Promise<readonly Rec[] | undefined>,
  ): Promise<readonly Rec[] | undefined> {
    const known = this.parts.get(key)
    this.parts.delete(key)
    const found = known ?? read()
    this.parts.set(key, found)
    const forget = (): void => {
      if (this.parts.get(key) === found) this.parts.delete(key)
    }
    // What is missing or could not be read may be there the next time.
    if (!known) found.then((records) => records ?? forget(), forget)
    const [oldest] = this.parts.keys()
    if (this.parts.size > PARTS && oldest !== undefined) this.parts.delete(oldest)
    return found
  }
}
