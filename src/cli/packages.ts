import { randomBytes } from 'node:crypto'
import { unzipSync } from 'fflate'
import { dateWords } from '../core/account'
import { digestWords, listed, ok, plural, thousands, type Result } from '../core/base'
import {
  difference,
  leftOutWords,
  openWhole,
  packForPeople,
  packWithout,
  planEntries,
  readReview,
  relationWords,
  type LeftOut,
  type ReadReview,
} from '../core/handed'
import { inMemory, nameOf, newerProblem, packReview, type Entry } from '../core/review'
import { RELEASES, STANDINS } from '../standins'
import { buildDemo } from '../standins/demo'
import { sourceFactsOf } from '../standins/source-facts'
import { handedFrom } from './account'
import { UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { inputBytes } from './input'
import { handedOut } from './output'
import { going } from './progress'
import { openReviewBytes, openReviewFile, type OpenedReview } from './open-package'
import { runAgain } from './run-again'
import { loadStandin } from './standins'

const files = (args: Arguments, count: number, what: string): string[] => {
  const given = [...(args.get('') ?? [])]
  if (given.length !== count) throw new UsageError(`Give ${what}.`)
  return given
}

/** The demo as any review is handed on: with the files that people read. */
export async function demoPackage(standins = loadStandin): Promise<Uint8Array> {
  const [earlier, later] = RELEASES.map((release) => STANDINS.map((info) => standins(info.id, release)))
  const packed = buildDemo(earlier!, later!)
  const opened = await openReviewBytes(packReview(packed, DEMO_TITLE))
  if ('problems' in opened) throw new Error(opened.problems.map((p) => p.message).join('\n'))
  return packForPeople(await handedFrom(opened), packed)
}
const DEMO_TITLE = 'Sound in primary classrooms'

const LEAVES = ['texts', 'names', 'rulings'] as const

/** A package packed again: as it is, without something, or as a plan for another review. */
async function pack(args: Arguments): Promise<Outcome> {
  const [file, out] = files(args, 2, 'a package and the file to write') as [string, string]
  const chosen = (args.get('without')?.[0] ?? '').split(',').filter(Boolean)
  const unknown = chosen.find((c) => !(LEAVES as readonly string[]).includes(c))
  if (unknown) throw new UsageError(`--without takes ${LEAVES.join(', ')}, not "${unknown}".`)
  const made =
    chosen.length && !args.has('plan-only')
      ? await leftOut(file, Object.fromEntries(chosen.map((c) => [c, true])))
      : await asItIs(file, args.has('plan-only'))
  return made.ok
    ? { exit: 0, ...handedOut(out, made.value) }
    : { exit: 1, errors: made.problems.map(problemLine) }
}

/** Chance of so many bytes, in hexadecimal digits. */
const hex = (bytes: number): string => randomBytes(bytes).toString('hex')

/** Of what is packed without something, nothing is read before that is left out. */
async function leftOut(file: string, what: LeftOut): Promise<Result<Uint8Array>> {
  going.say('reading the package, and making its files without what is left out')
  const whole = await openWhole(inMemory(inputBytes(file)))
  if (!whole.ok) return whole
  const by = whole.value.entries.at(-1)?.by ?? ''
  return packWithout(whole.value, what, handedFrom, { at: new Date().toISOString(), by, salt: () => hex(16) })
}

/** What is packed as it is, or as a plan, is read once. */
async function asItIs(file: string, plan: boolean): Promise<Result<Uint8Array>> {
  going.say('reading the package')
  const read = await openReviewFile(file)
  if ('problems' in read) return { ok: false, problems: read.problems }
  going.say('making its files')
  if (plan) return ok(await planPackage(read))
  const { entries, packed } = read
  return ok(await packForPeople(await handedFrom(read), { entries, ...(await packed()) }))
}

async function planPackage({ review, packed }: OpenedReview): Promise<Uint8Array> {
  const writing = { at: new Date().toISOString(), by: `p-${hex(8)}` }
  const begun = { id: `r-${hex(8)}`, title: `${review.title || 'Review'} (plan)` }
  const entries = planEntries(review, begun, writing, () => hex(16))
  const { blobs } = await packed()
  const own = new Map([...blobs].filter(([d]) => review.vocabularies.some((v) => v.digest === d)))
  const read = await readReview(entries, async (digest) => own.get(digest))
  return packForPeople(await handedFrom(read), { entries, blobs: own })
}

interface ListedFile {
  path: string
  size: number
}

/** The files of a package, in its order. */
function filesIn(bytes: Uint8Array): ListedFile[] {
  const found: ListedFile[] = []
  unzipSync(bytes, { filter: ({ name, originalSize }) => !found.push({ path: name, size: originalSize }) })
  return found
}

/** What a package holds. */
async function open(args: Arguments): Promise<Outcome> {
  const [file] = files(args, 1, 'one package') as [string]
  const opened = await openReviewBytes(inputBytes(file))
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const { review, entries, told, textsMissing } = opened
  const newer = newerProblem(entries)
  const last = entries.at(-1)!
  const gone = leftOutWords(entries, textsMissing)
  const people = [...new Set(entries.map((e) => e.by))].map((id) => nameOf(review, id) ?? id)
  const { leftOut } = await opened.packed()
  const said = {
    title: review.title,
    question: review.question,
    people,
    entries: entries.length,
    until: last.at,
    digest: last.digest,
    sources: review.sources.map((s) => s.name),
    runs: review.runs.length,
    records: told.figures.identified,
    works: told.ruled.works.works.length,
    leftOut: gone,
    ...(args.has('list') ? { files: filesIn(inputBytes(file)), missing: leftOut } : {}),
  }
  return {
    exit: 0,
    output: args.has('json') ? JSON.stringify(said) : lines(said, last),
    errors: newer ? [problemLine({ ...newer, severity: 'warning' })] : [],
  }
}

const lines = (
  s: {
    title: string
    question: string
    people: string[]
    sources: string[]
    leftOut: string[]
    files?: ListedFile[]
    missing?: readonly string[]
  } & {
    entries: number
    runs: number
    records: number
    works: number
  },
  last: Entry,
): string =>
  [
    s.title || 'Review without a title',
    ...(s.question ? [s.question] : []),
    `By ${listed(s.people)}; ${plural(s.entries, 'entry', 'entries')}, the last on ${dateWords(last.at)}: ${digestWords(last.digest)}`,
    `${plural(s.sources.length, 'source')}: ${s.sources.join('; ')}`,
    `${plural(s.runs, 'run')}, ${plural(s.records, 'record')}, ${plural(s.works, 'work')}`,
    ...(s.leftOut.length ? [`Left out: ${listed(s.leftOut)}`] : []),
    ...(s.files ?? []).map(({ path, size }) => `${thousands(size).padStart(12)}  ${path}`),
    ...(s.missing ?? []).map((digest) => `    left out  data/blobs/${digest}`),
  ].join('\n')

async function differ(args: Arguments): Promise<Outcome> {
  const two: ReadReview[] = []
  for (const file of files(args, 2, 'two packages')) {
    const opened = await openReviewFile(file)
    if ('problems' in opened)
      return { exit: 1, errors: opened.problems.map((p) => `${file}: ${problemLine(p)}`) }
    two.push(opened)
  }
  const [first, second] = two.map((r) => ({ ...r, source: sourceFactsOf(r.review) }))
  const found = difference(first!, second!)
  const text = [
    relationWords(found.relation),
    ...found.parts.flatMap((p) => ['', p.about, ...p.lines.map((l) => `  ${l}`)]),
    ...(found.parts.length ? [] : ['Nothing that they say differs.']),
  ].join('\n')
  return { exit: 0, output: args.has('json') ? JSON.stringify(found) : text }
}

async function again(args: Arguments): Promise<Outcome> {
  const [file] = files(args, 1, 'one package') as [string]
  const release = args.get('release')?.[0]
  if (!release) throw new UsageError(`--release is missing: ${RELEASES.join(' or ')}.`)
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  return runAgain(opened.review, release, args.has('json'))
}

export const PACKAGE_COMMANDS: Record<string, CliCommand> = {
  demo: {
    help: 'write the package of the demo review',
    usage: 'OUT.zip',
    note: 'It is made anew, searches and all.',
    example: 'demo.luvren.zip',
    options: {},
    files: true,
    run: async (args) => {
      const [out] = files(args, 1, 'the file to write') as [string]
      going.say('opening five databases in two releases, and searching them')
      return { exit: 0, ...handedOut(out, await demoPackage()) }
    },
  },
  pack: {
    help: 'pack a package again: without something, or as a plan for another review',
    usage: 'PACKAGE OUT.zip [--without texts,names,rulings] [--plan-only]',
    note: 'What was left out is said inside.',
    example: 'review.luvren.zip nameless.luvren.zip --without names,texts',
    options: { without: 'value', 'plan-only': 'flag' },
    files: true,
    run: pack,
  },
  open: {
    help: 'say what a package holds; it is checked whole first',
    usage: 'PACKAGE [--list]',
    note: '--list: also every file in it, with its size in bytes.',
    example: 'review.luvren.zip --list',
    options: { list: 'flag' },
    files: true,
    run: open,
  },
  difference: {
    help: 'say what differs between two packages: plan, terms, lines, counts, works, rulings, text',
    usage: 'FIRST SECOND',
    note: 'For a supervisor, a co-author, or an update after a year.',
    example: 'spring.luvren.zip autumn.luvren.zip',
    options: {},
    files: true,
    run: differ,
  },
  again: {
    help: 'run all strategies of stand-ins in another release, and say what is new and what is gone',
    usage: `PACKAGE --release ${RELEASES.join('|')}`,
    example: 'review.luvren.zip --release 2026-09',
    options: { release: 'value' },
    files: true,
    run: again,
  },
}
