import { readFileSync } from 'node:fs'
import path from 'node:path'
import { messageOf, plural, thousands } from '../core/base'
import { searchOrder } from '../core/figures'
import {
  drawOverlap,
  findPartition,
  formatOfEnding,
  FORMAT_WORDS,
  measurePairs,
  overlapOf,
  overlapTable,
  readStyle,
  referenceList,
  STYLES,
  WRITERS,
  type Rec,
  type StyleId,
  type Writable,
} from '../core/records'
import { styleEngine } from '../core/records/style'
import { UsageError, type Arguments } from './arguments'
import { inputText, STANDARD } from './input'
import { writeOut } from './output'
import { going } from './progress'
import { openReviewFile } from './open-package'
import { problemLine, type CliCommand, type Outcome } from './command'
import { oneOf, readRecordsFile } from './read-records'

const WRITABLE = Object.keys(WRITERS) as Writable[]

/** So many files, by their names behind the options. */
function files(args: Arguments, least: number, most: number, what: string): string[] {
  const given = [...(args.get('') ?? [])]
  if (given.length < least || given.length > most) throw new UsageError(`Give ${what}.`)
  return given
}

/** What the call says of the files that it reads. */
const saidOf = (args: Arguments) => ({ format: args.get('from')?.[0], encoding: args.get('encoding')?.[0] })

function convert(args: Arguments): Outcome {
  const [from, to] = files(args, 2, 2, 'two files: the one to read and the one to write') as [string, string]
  const format = oneOf(WRITABLE, args.get('to')?.[0] ?? formatOfEnding(path.extname(to).slice(1)), '--to')
  if (!format)
    throw new UsageError(`What ${to} is to be written in is not clear: give --to ${WRITABLE.join(', ')}.`)
  going.say(`reading ${path.basename(from)}`)
  const read = readRecordsFile(from, saidOf(args))
  const records = read.items.flatMap((i) => i.record ?? [])
  const broken = read.items.length - records.length
  const errors = read.problems.map((p) => `${from}: ${problemLine(p)}`)
  if (!records.length)
    return { exit: 1, errors: [...errors, `${from}: no record was found; nothing was written.`] }
  if (!records.some((r) => r.title))
    return { exit: 1, errors: [...errors, `${from}: no record has a title; nothing was written.`] }
  const written = WRITERS[format](records)
  if (to === STANDARD) return { exit: broken ? 1 : 0, output: written, errors }
  writeOut(to, written)
  const said = {
    read: read.items.length,
    broken,
    written: records.length,
    from: read.shape.format,
    encoding: read.encoding,
    to: format,
  }
  return {
    exit: broken ? 1 : 0,
    output: args.has('json')
      ? JSON.stringify(said)
      : `${plural(records.length, 'record')} read as ${FORMAT_WORDS[read.shape.format]} (${read.encoding}), written as ${FORMAT_WORDS[format]}${broken ? `; ${plural(broken, 'record is', 'records are')} broken and not in it` : ''}.`,
    errors,
  }
}

function dedupe(args: Arguments): Outcome {
  const names: string[] = []
  const records: Rec[] = []
  const errors: string[] = []
  const bases = new Set<string>()
  for (const file of files(args, 1, Infinity, 'at least one file')) {
    const base = path.basename(file)
    if (bases.has(base))
      throw new UsageError(`Two files are called ${base}: ${base}#1 would mean two records. Rename one.`)
    bases.add(base)
    going.say(`reading ${base}`)
    const read = readRecordsFile(file, saidOf(args))
    errors.push(...read.problems.map((p) => `${file}: ${problemLine(p)}`))
    for (const { position, record } of read.items) {
      if (!record) continue
      names.push(`${base}#${position}`)
      records.push(record)
    }
  }
  const { classes, toSettle } = findPartition(names, records, ({ done, of }) =>
    going.say(`compared ${thousands(done)} of ${plural(of, 'record')}`),
  )
  const pairs = toSettle.map(({ a, b }) => [a, b])
  const truth = args.get('truth')?.[0]
  const measured = truth === undefined ? undefined : measurePairs(readTruth(truth), classes, toSettle)
  const several = classes.filter((c) => c.length > 1).length
  return {
    exit: 0,
    output: args.has('json')
      ? JSON.stringify({ groups: classes, toSettle: pairs, ...(measured ? { measured } : {}) })
      : [
          `${plural(records.length, 'record')}, ${plural(classes.length, 'work')}: ${several} with more than one record, ${plural(toSettle.length, 'pair')} to settle`,
          ...(measured
            ? [
                `${plural(measured.truePairs, 'true pair')}, ${measured.joinedPairs} joined, ${measured.wrong} of them wrongly`,
                `precision of what is joined ${measured.precision.value.toFixed(5)} (95 % from ${measured.precision.from.toFixed(5)})`,
                `recall of what is joined ${measured.certainRecall.value.toFixed(4)}, with what is to settle ${measured.recall.value.toFixed(4)} (95 % from ${measured.recall.from.toFixed(4)})`,
              ]
            : []),
        ].join('\n'),
    errors,
  }
}

/** The groups of a truth file: a list of lists of ids, or an object with them under "groups". */
function readTruth(file: string): string[][] {
  try {
    const value = JSON.parse(readFileSync(file, 'utf8')) as unknown
    const groups = Array.isArray(value) ? value : (value as { groups?: unknown }).groups
    if (
      Array.isArray(groups) &&
      groups.every((g) => Array.isArray(g) && g.every((id) => typeof id === 'string'))
    )
      return groups as string[][]
  } catch (error) {
    throw new UsageError(`${file} could not be read: ${messageOf(error)}`)
  }
  throw new UsageError(`${file} holds no groups: a list of lists of ids, such as [["a.ris#1","b.ris#4"]].`)
}

/** A style that ships here by its name, or one out of a file. */
function styleOf(said: string): StyleId | { text: string } {
  if (!/\.(?:csl|xml)$/i.test(said)) return oneOf(Object.keys(STYLES) as StyleId[], said, '--style')!
  const read = readStyle(inputText(said))
  if (!read.ok) throw new UsageError(`${said}: ${read.problems[0]!.message}`)
  return read.value
}

async function references(args: Arguments): Promise<Outcome> {
  const [file] = files(args, 1, 1, 'one file') as [string]
  const style = styleOf(args.get('style')?.[0] ?? 'apa')
  const read = readRecordsFile(file, saidOf(args))
  const records = read.items.flatMap((i) => i.record ?? [])
  const errors = read.problems.map((p) => `${file}: ${problemLine(p)}`)
  if (!records.length) return { exit: 1, errors: [...errors, `${file}: no record was found.`] }
  const list = referenceList(records, styleEngine(style))
  return {
    exit: 0,
    output: args.has('json')
      ? JSON.stringify(list.map(({ at, text, html, hints }) => ({ id: records[at]!.id, text, html, hints })))
      : list.map((r) => `${r.text}${r.hints.length ? `\n    (${r.hints.join('; ')})` : ''}`).join('\n\n'),
    errors,
  }
}

async function overlap(args: Arguments): Promise<Outcome> {
  const [file] = files(args, 1, 1, 'one package') as [string]
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const { review, works } = opened
  const names = new Map(review.sources.map((s) => [s.id, s.name]))
  const nameOf = (id: string): string => names.get(id) ?? id
  const found = overlapOf(works.works, searchOrder(review))
  const svg = args.get('svg')?.[0]
  if (svg !== undefined) writeOut(svg, drawOverlap(found, nameOf))
  return {
    exit: 0,
    output: args.has('json')
      ? JSON.stringify({
          ...found,
          sources: found.sources.map((s) => ({ ...s, name: nameOf(s.id) })),
          sets: found.sets.map((s) => ({ ...s, names: s.sources.map(nameOf) })),
        })
      : overlapTable(found, nameOf)
          .map((row) => row.join('\t'))
          .join('\n'),
  }
}

export const RECORD_COMMANDS: Record<string, CliCommand> = {
  convert: {
    help: 'write the records of a file in another format',
    usage: `IN OUT [--from ris|bibtex|csl-json|csv|tagged] [--to ${WRITABLE.join('|')}] [--encoding utf-8|utf-16le|utf-16be|windows-1252]`,
    note: 'Formats are told by what stands in the file and by the ending of the other; - is standard input or output.',
    example: 'export.txt works.bib',
    options: { from: 'value', to: 'value', encoding: 'value' },
    files: true,
    run: convert,
  },
  dedupe: {
    help: 'tell the works behind the records of files: certain groups, and pairs to be settled',
    usage: 'FILE… [--truth FILE] [--from FORMAT] [--encoding ENCODING]',
    note: 'A record is called "name#position" in what is printed and in the truth.',
    example: 'a.ris b.bib c.csv --json',
    options: { truth: 'value', from: 'value', encoding: 'value' },
    files: true,
    run: dedupe,
  },
  references: {
    help: 'set the records of a file as a reference list, with hints where a human eye is wanted',
    usage: `FILE [--style ${Object.keys(STYLES).join('|')}|FILE.csl] [--from FORMAT] [--encoding ENCODING]`,
    example: 'works.bib --style apa',
    options: { style: 'value', from: 'value', encoding: 'value' },
    files: true,
    run: references,
  },
  overlap: {
    help: 'count what the sources of a review have in common',
    usage: 'PACKAGE [--svg FILE]',
    example: 'review.luvren.zip --svg overlap.svg',
    options: { svg: 'value' },
    files: true,
    run: overlap,
  },
}
