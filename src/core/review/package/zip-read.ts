import { Inflate } from 'fflate'
import { fail, ok, problem, type Result } from '../../base'
import type { ByteSource } from './bytes'

/**
 * How much a package may hold, so that a small file cannot be made to fill a machine. Far above what a review needs:
 * text shrinks to a tenth, seldom to a thirtieth.
 */
export const BOUNDS = {
  files: 20_000,
  nameLength: 300,
  /** Bytes of all files together, unpacked. */
  bytes: 4 * 2 ** 30,
  /** Times the bytes that were read for them, beyond a first megabyte. */
  ratio: 200,
  /** Brackets within brackets in one line of JSON. */
  depth: 200,
}

/** One file of a zip archive, as its directory lists it. */
export interface ZipFile {
  name: string
  /** Where its own header begins. */
  at: number
  packedSize: number
  method: number
}

const refuse = (code: string, words: string): Result<never> => fail(problem(code, 'error', words))
const NO_ZIP =
  'This file is no package: it is not a zip archive. Choose a file that Luvren saved as a package.'

const END = 0x06054b50
const LISTED = 0x02014b50
const LOCAL = 0x04034b50
/** Of a method that is not packed, and of the one common way of packing. */
const STORED = 0
const DEFLATED = 8

/**
 * The directory of a zip archive (APPNOTE 6.3, sections 4.3.12 and 4.3.16). Names must be plain paths, each once; an
 * archive with another one is refused.
 */
export async function zipDirectory(source: ByteSource): Promise<Result<ZipFile[]>> {
  const from = Math.max(0, source.size - 22 - 0xffff)
  const tail = await source.read(from, source.size)
  const view = viewOf(tail)
  let end = tail.length - 22
  while (end >= 0 && view.getUint32(end, true) !== END) end--
  if (end < 0) return refuse('no-zip', NO_ZIP)
  const count = view.getUint16(end + 10, true)
  const size = view.getUint32(end + 12, true)
  const start = view.getUint32(end + 16, true)
  if (start + size > source.size) return refuse('no-zip', 'This zip archive is cut off or damaged.')
  if (count > BOUNDS.files)
    return refuse(
      'too-many-files',
      `This archive holds ${count} files; a package holds at most ${BOUNDS.files}.`,
    )
  const listed = viewOf(await source.read(start, start + size))
  const files: ZipFile[] = []
  const names = new Set<string>()
  for (let at = 0, n = 0; n < count; n++) {
    if (at + 46 > size || listed.getUint32(at, true) !== LISTED)
      return refuse('no-zip', 'The directory of this zip archive is damaged.')
    const [nameLength, extra, comment] = [28, 30, 32].map((o) => listed.getUint16(at + o, true)) as [
      number,
      number,
      number,
    ]
    const name = textOf(
      new Uint8Array(listed.buffer, listed.byteOffset + at + 46, Math.min(nameLength, size - at - 46)),
    )
    const wrong = wrongName(name, names)
    if (wrong) return refuse('name-refused', `This archive holds a file named ${quoted(name)}, ${wrong}.`)
    names.add(name)
    files.push({
      name,
      at: listed.getUint32(at + 42, true),
      packedSize: listed.getUint32(at + 20, true),
      method: listed.getUint16(at + 10, true),
    })
    at += 46 + nameLength + extra + comment
  }
  return ok(files)
}

const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes)
const quoted = (name: string): string => JSON.stringify(name.length > 60 ? `${name.slice(0, 60)}…` : name)

function wrongName(name: string, taken: ReadonlySet<string>): string | undefined {
  if (name.length > BOUNDS.nameLength) return 'which is longer than names in a package are'
  if (!/^[\w][\w. -]*(?:\/[\w. -]+)*\/?$/.test(name) || name.split('/').some((p) => p === '..' || p === '.'))
    return 'which is no plain path'
  if (taken.has(name)) return 'twice'
  return undefined
}

/** What has been unpacked so far, of all files of one archive together. */
export interface Unpacked {
  bytes: number
  /** The bytes that were read for them. */
  read: number
}

/** So much is read at once; packed bytes in smaller pieces, for each may swell a thousandfold. */
const READ = 256 * 1024
const PIECE = 8 * 1024

/** Thrown, and caught where the file is read: its content goes beyond the bounds. */
class Beyond extends Error {}

/**
 * Unpacks one file piece by piece. `take` is handed each piece and must not keep it. Stops and says why where the
 * archive as a whole goes beyond the bounds.
 */
export async function unpack(
  source: ByteSource,
  file: ZipFile,
  so: Unpacked,
  take: (piece: Uint8Array) => void,
): Promise<Result<undefined>> {
  const header = viewOf(await source.read(file.at, Math.min(file.at + 30, source.size)))
  if (header.byteLength < 30 || header.getUint32(0, true) !== LOCAL)
    return refuse('no-zip', `${file.name} is damaged: it is not where the directory says.`)
  const start = file.at + 30 + header.getUint16(26, true) + header.getUint16(28, true)
  const end = start + file.packedSize
  if (end > source.size) return refuse('no-zip', `${file.name} is cut off.`)
  if (file.method !== STORED && file.method !== DEFLATED)
    return refuse('packing-unknown', `${file.name} is packed in a way that is not known here.`)
  const count = (piece: Uint8Array): void => {
    so.bytes += piece.length
    if (so.bytes > BOUNDS.bytes || so.bytes > 2 ** 20 + BOUNDS.ratio * so.read) throw new Beyond()
    take(piece)
  }
  const inflate = file.method === DEFLATED ? new Inflate((piece) => count(piece)) : undefined
  try {
    for (let at = start; at < end; at += READ) {
      const part = await source.read(at, Math.min(at + READ, end))
      for (let i = 0; i < part.length; i += PIECE) {
        const piece = part.subarray(i, i + PIECE)
        so.read += piece.length
        if (inflate) inflate.push(piece, at + i + piece.length >= end)
        else count(piece)
      }
    }
    return ok(undefined)
  } catch (error) {
    return error instanceof Beyond
      ? refuse(
          'too-large',
          `This archive unpacks to far more than a review: it was refused at ${file.name}. Nothing of it was stored.`,
        )
      : refuse('no-zip', `${file.name} cannot be unpacked: it is damaged.`)
  }
}

/** One file of the archive, whole. */
export async function unpackWhole(
  source: ByteSource,
  file: ZipFile,
  so: Unpacked,
): Promise<Result<Uint8Array>> {
  const pieces: Uint8Array[] = []
  const read = await unpack(source, file, so, (piece) => pieces.push(piece.slice()))
  return read.ok ? ok(joined(pieces)) : read
}

/** Pieces put together. */
export function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(pieces.reduce((n, p) => n + p.length, 0))
  let at = 0
  for (const piece of pieces) {
    whole.set(piece, at)
    at += piece.length
  }
  return whole
}
