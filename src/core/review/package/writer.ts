import { strToU8, Zip, ZipDeflate } from 'fflate'
import { digestInPieces, digestOf } from '../../base'
import { joined } from './zip-read'

// A fixed date keeps the bytes the same for the same content; the dates that count stand in the journal.
// A zip archive holds local time: the day is made from local parts, so that no time zone changes a byte.
const STAMP = new Date(1980, 0, 2)

/** What is in a file: all of it, or one piece after the other, so that a large one is never whole in memory. */
export type FileBytes = Uint8Array | Iterable<Uint8Array>

const PIECE = 1 << 18

/** A file of a package, as its manifest lists it. */
export interface Listed {
  /** Its path within `data/`. */
  path: string
  digest: string
  size: number
}

/**
 * Writes a package as it goes: one file after another is packed and handed on, and then let go, so that never more than one
 * of them is in memory. It ends with the BagIt manifests (RFC 8493) of all that was written.
 */
export class PackageWriter {
  readonly listed: Listed[] = []
  private readonly zip: Zip

  /** `size`: in pieces of how many bytes content is packed; what was packed before there were any was packed whole. */
  constructor(
    write: (piece: Uint8Array) => void,
    private readonly size = PIECE,
  ) {
    this.zip = new Zip((error, piece) => {
      if (error) throw error
      write(piece)
    })
  }

  /** Adds a file of the payload; its digest, where it is known already, is not reckoned again. */
  add(path: string, bytes: FileBytes, known?: string): void {
    const digest = digestInPieces()
    let size = 0
    this.put(`data/${path}`, bytes instanceof Uint8Array ? [bytes] : bytes, (piece) => {
      size += piece.length
      if (known === undefined) digest.add(piece)
    })
    this.listed.push({ path, digest: known ?? digest.end(), size })
  }

  end(): void {
    const lines = (files: readonly (readonly [string, string])[]): Uint8Array =>
      strToU8(files.map(([name, digest]) => `${digest}  ${name}\n`).join(''))
    const bagit = strToU8('BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-8\n')
    const manifest = lines(this.listed.map((f) => [`data/${f.path}`, f.digest]))
    const tags = lines([
      ['bagit.txt', digestOf(bagit)],
      ['manifest-sha256.txt', digestOf(manifest)],
    ])
    this.put('bagit.txt', [bagit])
    this.put('manifest-sha256.txt', [manifest])
    this.put('tagmanifest-sha256.txt', [tags])
    this.zip.end()
  }

  private put(name: string, pieces: Iterable<Uint8Array>, seen?: (piece: Uint8Array) => void): void {
    const file = new ZipDeflate(name, { level: 6 })
    file.mtime = STAMP
    this.zip.add(file)
    // The last piece has to be known as such: one is held back until the next one is there.
    let held: Uint8Array = new Uint8Array()
    for (const piece of this.cut(pieces, seen)) {
      if (held.length) file.push(held)
      held = piece
    }
    file.push(held, true)
  }

  /** The same content in pieces of one size, so that it packs to the same bytes however it came. */
  private *cut(pieces: Iterable<Uint8Array>, seen?: (piece: Uint8Array) => void): Generator<Uint8Array> {
    let left: Uint8Array = new Uint8Array()
    for (const piece of pieces) {
      seen?.(piece)
      let rest = left.length ? joined([left, piece]) : piece
      for (; rest.length > this.size; rest = rest.subarray(this.size)) yield rest.subarray(0, this.size)
      left = rest
    }
    if (left.length) yield left
  }
}
