import { closeSync, openSync, readSync } from 'node:fs'
import { messageOf, problem, type Problem } from '../core/base'
import {
  EncodingGuess,
  ENCODINGS,
  FORMATS,
  readerFor,
  recognise,
  kindWords,
  lackOf,
  oddLines,
  textFromBytes,
  type Encoding,
  type Item,
  type Shape,
} from '../core/records'
import { UsageError } from './arguments'
import { inputBytes, STANDARD } from './input'

const PIECE = 1 << 20
/** What a format is recognised by. */
const BEGINNING = 200_000

/** The bytes of a file in pieces. */
function* piecesOf(file: string): Generator<Uint8Array> {
  if (file === STANDARD) return yield inputBytes(file)
  let handle: number
  try {
    handle = openSync(file, 'r')
  } catch (error) {
    throw new UsageError(`${file} could not be read: ${messageOf(error)}`)
  }
  try {
    for (;;) {
      const piece = new Uint8Array(PIECE)
      const length = readSync(handle, piece)
      if (!length) return
      yield piece.subarray(0, length)
    }
  } finally {
    closeSync(handle)
  }
}

export interface FileRead {
  items: Item[]
  shape: Shape
  encoding: Encoding
  problems: Problem[]
}

/** Reads a file of records in whatever format and encoding it is, or in those that are said. */
export function readRecordsFile(
  file: string,
  said: { format?: string | undefined; encoding?: string | undefined } = {},
): FileRead {
  const format = oneOf(FORMATS, said.format, '--from')
  const guess = new EncodingGuess()
  for (const piece of piecesOf(file)) guess.push(piece)
  const encoding = oneOf(ENCODINGS, said.encoding, '--encoding') ?? guess.end().encoding
  const kind = format === undefined ? kindWords(firstBytes(file)) : undefined
  if (kind !== undefined) throw new UsageError(`${file}: ${kind}`)
  const shape = recognise(beginningOf(file, encoding), {}, format)
  if (!shape)
    throw new UsageError(
      `${file}: this is in none of the formats that are read here (${FORMATS.join(', ')})${format ? `, nor ${format}` : ''}.`,
    )
  const items: Item[] = []
  const problems: Problem[] = []
  const reader = readerFor(shape, { item: (i) => items.push(i), stray: (p) => problems.push(p) })
  const text = textFromBytes(encoding)
  for (const piece of piecesOf(file)) reader.push(text.push(piece))
  reader.push(text.end())
  reader.end()
  const lack = lackOf(shape)
  const told = [
    ...oddLines(text.odd),
    ...(lack === undefined || items.some((i) => i.record?.title) ? [] : [problem('no-title', 'error', lack)]),
  ]
  return { items, shape, encoding, problems: [...told, ...problems, ...items.flatMap((i) => i.problems)] }
}

function firstBytes(file: string): Uint8Array {
  for (const piece of piecesOf(file)) return piece.subarray(0, 6000)
  return new Uint8Array()
}

function beginningOf(file: string, encoding: Encoding): string {
  const text = textFromBytes(encoding)
  let beginning = ''
  for (const piece of piecesOf(file)) {
    beginning += text.push(piece)
    if (beginning.length >= BEGINNING) return beginning.slice(0, BEGINNING)
  }
  return (beginning + text.end()).slice(0, BEGINNING)
}

/** One of the names that an option may have. */
export function oneOf<T extends string>(
  names: readonly T[],
  given: string | undefined,
  option: string,
): T | undefined {
  if (given === undefined) return undefined
  const found = names.find((n) => n === given.toLowerCase())
  if (!found) throw new UsageError(`${option} is ${names.join(', ')}, not "${given}".`)
  return found
}
