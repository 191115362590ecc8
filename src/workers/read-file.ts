import { digestOf, problem, type Problem } from '@/core/base'
import {
  EncodingGuess,
  LayingOut,
  layOut,
  readAgain,
  READER_VERSION,
  withTypeSet,
  type ReadAgain,
  readAll,
  readerFor,
  recognise,
  kindWords,
  openNames,
  rowsOf,
  type OpenNames,
  oddLines,
  textFromBytes,
  type Encoding,
  type FormatId,
  type Guess,
  type Item,
  type LaidOut,
  type Rec,
  type Remembered,
  type Shape,
} from '@/core/records'
import { recordNames, type Import } from '@/core/review'
import type { BlocksHere } from './records/blocks-here'
import { Pace, type GoOn } from './pace'

/** So much of a file is looked at to say what it is. */
const BEGINNING = 200_000
const FIRST = 5

/** What a person said of a file, against what was found. */
export interface FileSaid {
  encoding?: Encoding
  format?: FormatId
  remembered?: Remembered
  /** Columns or tags as a person has them now. */
  shape?: Shape
}

export interface FileExamined {
  guess: Guess
  encoding: Encoding
  /** What it is where it holds no records, with the way to a file that does. */
  kind?: string | undefined
  /** Undefined where it is in none of the formats that are read here. */
  shape: Shape | undefined
  /** The first lines as they stand in the file. */
  lines: string[]
  /** Of a table: some cells of each column, and columns of names that can be read in two ways. */
  examples?: string[][]
  openNames?: OpenNames[]
  /** What came of the first records. */
  first: { record: Rec | undefined; problems: Problem[] }[]
  size: number
  /** Of the file as it is. */
  digest: string
}

/** How a file is to be read. */
export interface FileHow {
  encoding: Encoding
  shape: Shape
  /** Tells records without a number of their own from those of other files. */
  name?: string
}

/** What came of a file: where its records and it itself lie, and what could not be read. */
export interface FileTaken {
  blocks: LaidOut
  digest: string
  count: number
  broken: { position: number; line: number; why: string }[]
  problems: Problem[]
}

/** The bytes of a file in pieces, as they come from the disk. */
async function* piecesOf(file: Blob): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader()
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    yield value
  }
}

export async function examineFile(file: Blob, said: FileSaid): Promise<FileExamined> {
  const guessing = new EncodingGuess()
  for await (const piece of piecesOf(file)) guessing.push(piece)
  const guess = guessing.end()
  const encoding = said.encoding ?? guess.encoding
  const decoder = textFromBytes(encoding)
  let beginning = ''
  for await (const piece of piecesOf(file.slice(0, BEGINNING * 2))) beginning += decoder.push(piece)
  if (file.size <= BEGINNING) beginning += decoder.end()
  beginning = beginning.slice(0, BEGINNING)
  const kind = kindWords(new Uint8Array(await file.slice(0, 6000).arrayBuffer()))
  const shape =
    said.shape ?? (kind && !said.format ? undefined : recognise(beginning, said.remembered, said.format))
  const first: FileExamined['first'] = []
  if (shape) {
    const reader = readerFor(shape, {
      item: ({ record, problems }: Item) => {
        if (first.length < FIRST) first.push({ record, problems })
      },
      stray: () => undefined,
    })
    reader.push(beginning)
    // Where the whole file was looked at, its last record is whole too.
    if (file.size <= BEGINNING) reader.end()
  }
  const rows = shape?.table ? rowsOf(beginning, shape.table.separator, 400).slice(1) : []
  return {
    guess,
    encoding,
    ...(shape?.table
      ? {
          examples: shape.table.headings.map((_, i) =>
            rows.flatMap((row) => (row[i]?.trim() ? [row[i].trim().slice(0, 60)] : [])).slice(0, 2),
          ),
          openNames: openNames(shape.table, rows),
        }
      : {}),
    ...(kind === undefined ? {} : { kind }),
    shape,
    lines: beginning
      .replace(/^\uFEFF/, '')
      .split(/\r\n?|\n/)
      .slice(0, 14)
      .map((l) => l.slice(0, 200)),
    first,
    size: file.size,
    digest: digestOf(new Uint8Array(await file.arrayBuffer())),
  }
}

export async function readFileInto(
  blocks: BlocksHere,
  file: Blob,
  { encoding, shape, name }: FileHow,
  goOn?: GoOn,
): Promise<FileTaken | undefined> {
  const pace = new Pace(goOn)
  const waiting: [string, Uint8Array][] = []
  const laying = new LayingOut((digest, bytes) => waiting.push([digest, bytes]))
  const broken: FileTaken['broken'] = []
  const problems: Problem[] = []
  let count = 0
  const reader = readerFor(
    shape,
    {
      item: (item) => {
        if (item.record) {
          count++
          laying.push(item.record)
        } else
          broken.push({
            position: item.position,
            line: item.line,
            why: item.problems.map((p) => p.message).join(' '),
          })
        problems.push(...item.problems)
      },
      stray: (problem) => problems.push(problem),
    },
    name,
  )
  const decoder = textFromBytes(encoding)
  const lay = async (): Promise<void> => {
    for (const [digest, bytes] of waiting.splice(0)) await blocks.keep(digest, bytes)
  }
  let done = 0
  for await (const piece of piecesOf(file)) {
    reader.push(decoder.push(piece))
    done += piece.length
    await lay()
    if (!(await pace.at(done, file.size))) return undefined
  }
  reader.push(decoder.end())
  reader.end()
  problems.push(...oddLines(decoder.odd))
  const at = laying.end()
  await lay()
  const whole = new Uint8Array(await file.arrayBuffer())
  const digest = digestOf(whole)
  await blocks.keep(digest, whole)
  return { blocks: at, digest, count, broken, problems }
}

/** How a file that was brought in is read again: as it was then, or as it would be now where that was not noted. */
async function howOf(
  blocks: BlocksHere,
  file: NonNullable<Import['file']>,
): Promise<{ text: string; shape: Shape; reader: number }> {
  const bytes = await blocks.bytes(file.digest)
  if (!bytes) throw new Error(`The file ${file.name} is not in this browser.`)
  const decoder = textFromBytes((file.encoding ?? 'utf-8') as Encoding, (file.reader ?? 1) < 3)
  const text = decoder.push(bytes) + decoder.end()
  const shape =
    file.shape === undefined
      ? recognise(text.slice(0, BEGINNING), {}, file.format as FormatId | undefined)
      : (JSON.parse(file.shape) as Shape)
  if (!shape) throw new Error(`What ${file.name} is can no longer be told.`)
  return { text, shape, reader: file.reader ?? 1 }
}

/** The text of a broken record as it stands in its file; undefined where it is not there. */
export async function brokenText(
  blocks: BlocksHere,
  file: NonNullable<Import['file']>,
  position: number,
): Promise<string | undefined> {
  const { text, shape, reader } = await howOf(blocks, file)
  return readAll(text, shape, undefined, reader).items.find((i) => i.position === position)?.text
}

/** What the reader of now makes of a file that was brought in, against the records that are in the review of it. */
export async function readFileAgain(blocks: BlocksHere, of: Import): Promise<ReadAgain> {
  const file = of.file!
  const records = await blocks.records(of)
  if (!records) throw new Error(`The records of ${file.name} are not in this browser.`)
  const { text, shape } = await howOf(blocks, { ...file, reader: READER_VERSION })
  const before = new Map(recordNames(of).map((name, place) => [positionIn(name), records[place]!]))
  const after = new Map<number, Rec>()
  for (const { position, record } of readAll(text, shape, file.digest.slice(0, 8)).items)
    if (record) after.set(position, record)
  return readAgain(before, after)
}
const positionIn = (name: string): number => Number(name.slice(name.lastIndexOf('/') + 1))

/** Lays the records of an import down anew, some with another type, by their names. */
export async function layWithType(
  blocks: BlocksHere,
  of: Import,
  names: readonly string[],
  type: string,
): Promise<LaidOut> {
  const records = await blocks.records(of)
  if (!records) throw new Error('These records are not in this browser.')
  const wanted = new Set(names)
  const places = new Set(recordNames(of).flatMap((name, place) => (wanted.has(name) ? [place] : [])))
  const { at, bytes } = layOut(withTypeSet(records, places, type))
  for (const [digest, own] of bytes) await blocks.keep(digest, own)
  return at
}

/** Reads the text of one record as those of its file are read. */
export async function readMended(
  blocks: BlocksHere,
  file: NonNullable<Import['file']>,
  text: string,
): Promise<{ record?: Rec; problems: Problem[] }> {
  const { shape, reader } = await howOf(blocks, file)
  // A row of a table is nothing without its headings.
  const head = shape.table
    ? shape.table.headings.map((h) => `"${h.replaceAll('"', '""')}"`).join(shape.table.separator) + '\n'
    : ''
  const { items, strays } = readAll(head + text, shape, file.digest.slice(0, 8), reader)
  const problems = [...items.flatMap((i) => i.problems), ...strays].map((p) => ({
    ...p,
    // Lines are those of the text that was mended, not of its file.
    message: p.message.replace(/^Line \d+: /, ''),
  }))
  const [item] = items
  if (items.length > 1)
    return { problems: [problem('mended-several', 'error', 'These are several records: leave one of them.')] }
  return { ...(item?.record ? { record: item.record } : {}), problems }
}
