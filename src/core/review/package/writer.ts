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
  /** What is packed next; none where content is packed whole. */
  private readonly room: Uint8Array | undefined

  /** `size`: in pieces of how many bytes content is packed; `Infinity`: whole, as before there were any. */
  constructor(write: (piece: Uint8Array) => void, size = PIECE) {
    this.room = size === Infinity ? undefined : new Uint8Array(size)
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
    const { room } = this
    if (!room) {
      const whole = joined([...pieces])
      seen?.(whole)
      file.push(whole, true)
      return
    }
    // What packs copies what it is given: the same room is filled again and again, and so the same content is packed in
    // the same pieces however it came. The last one has to be known as such: a full one waits until there is more.
    let filled = 0
    for (const piece of pieces) {
      seen?.(piece)
      for (let at = 0; at < piece.length;) {
        if (filled === room.length) {
          file.push(room)
          filled = 0
        }
        const part = piece.subarray(at, at + room.length - filled)
        room.set(part, filled)
        filled += part.length
        at += part.length
      }
    }
    file.push(room.subarray(0, filled), true)
  }
}
