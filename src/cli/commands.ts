import { hasErrors, type Problem } from '../core/base'
import { buildIndex, evaluate, type Index } from '../core/engine'
import { printFor, readWithLimits } from '../core/profile'
import { limitWords, parse, print, readCql, writeCql, type Expr, type LimitValue } from '../core/query'
import { toDocument, type Rec } from '../core/records'
import { foldLimitLines, readHistory, recogniseHistory, type DayOrder } from '../core/strategy'
import { readVocabulary } from '../core/vocabulary'
import { STANDINS } from '../standins'
import { required, UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { JUDGE_COMMANDS } from './judge'
import { LEARN_COMMANDS } from './learn'
import { RECORD_COMMANDS } from './records'
import { SELECTION_COMMANDS } from './selection'
import { ACCOUNT_COMMANDS } from './account'
import { PACKAGE_COMMANDS } from './packages'
import { VERIFY_COMMANDS } from './verify'
import { standinLines } from './typed-lines'
import { inputText } from './input'
import { readLimit } from './limits'
import { readRecordsFile } from './read-records'
import { loadProfile, narrowerFor } from './profiles'
import { loadStandin, searchStandin, type Found } from './standins'
import { countVocabulary } from './vocabulary-counts'

const DAY_ORDERS: Readonly<Record<string, DayOrder>> = {
  'day-first': 'day first',
  'month-first': 'month first',
}

interface Searched {
  found: Found | undefined
  problems: readonly Problem[]
}

/** Searches once; a query with errors finds nothing and says why. */
function search(index: Index, records: readonly Rec[], query: string): Searched {
  const { tree, problems } = parse(query)
  if (!tree || hasErrors(problems)) {
    const none: Problem = {
      code: 'query-empty',
      severity: 'error',
      message: 'The query says nothing that could be searched.',
    }
    return { found: undefined, problems: hasErrors(problems) ? problems : [...problems, none] }
  }
  const result = evaluate(index, tree)
  return {
    found: { hits: result.docs.length, ids: Array.from(result.docs, (d) => records[d]!.id) },
    problems: [...problems, ...result.problems],
  }
}

/** One answer, or one a query: JSON or lines for reading. */
function answer(args: Arguments, searched: Searched[], several: boolean): Outcome {
  const all = searched.map(({ found, problems }) => found ?? { hits: 0, ids: [], problems })
  const output = args.has('json')
    ? JSON.stringify(several ? all : all[0])
    : all.map((a) => `${a.hits} hits${a.ids.length ? `\n${a.ids.join('\n')}` : ''}`).join('\n\n')
  const problems = searched.flatMap((s) => s.problems)
  return { exit: hasErrors(problems) ? 1 : 0, output, errors: problems.map(problemLine) }
}

/** The query of --query, or the lines of the file of --queries; empty lines are passed over. */
function queries(args: Arguments): { list: string[]; several: boolean } {
  const file = args.get('queries')?.[0]
  if (file === undefined) return { list: [required(args, 'query')], several: false }
  if (args.has('query')) throw new UsageError('Give --query or --queries, not both.')
  return {
    list: inputText(file)
      .split(/\r?\n/)
      .filter((l) => l.trim()),
    several: true,
  }
}

/** A tree that was read, as plain notation or JSON. */
function treeOutcome(
  args: Arguments,
  read: { tree: Expr | undefined; problems: Problem[] },
  limits: readonly LimitValue[] = [],
): Outcome {
  const { tree, problems } = read
  const output = args.has('json')
    ? JSON.stringify({ plain: tree ? print(tree) : null, tree: tree ?? null, limits, problems })
    : withLimitWords(tree ? print(tree) : '(nothing)', limits)
  return { exit: hasErrors(problems) || !tree ? 1 : 0, output, errors: problems.map(problemLine) }
}

const withLimitWords = (text: string, limits: readonly LimitValue[]): string =>
  [text, ...limits.map(limitWords)].join(' + ')

/** The first problem of each kind, with how many more there are of it. */
function oncePerKind(problems: readonly Problem[]): string[] {
  const kinds = new Map<string, { first: Problem; more: number }>()
  for (const p of problems) {
    const known = kinds.get(p.code)
    if (known) known.more++
    else kinds.set(p.code, { first: p, more: 0 })
  }
  return [...kinds.values()].map(
    ({ first, more }) => problemLine(first) + (more ? ` (and ${more} more of this kind)` : ''),
  )
}

export const COMMANDS: Record<string, CliCommand> = {
  ...JUDGE_COMMANDS,
  ...LEARN_COMMANDS,
  ...RECORD_COMMANDS,
  ...SELECTION_COMMANDS,
  ...ACCOUNT_COMMANDS,
  ...PACKAGE_COMMANDS,
  ...VERIFY_COMMANDS,
  search: {
    help: 'search the records of a file, in any format that is read here',
    usage: '--records FILE (--query "…" | --queries FILE)',
    example: "--records export.ris --query 'title: noise AND reverberat*'",
    options: { records: 'value', from: 'value', encoding: 'value', query: 'value', queries: 'value' },
    run: (args) => {
      const asked = queries(args)
      const file = required(args, 'records')
      const { items, problems } = readRecordsFile(file, {
        format: args.get('from')?.[0],
        encoding: args.get('encoding')?.[0],
      })
      const records = items.flatMap((i) => i.record ?? [])
      // Many lines of one kind are one warning.
      const told = oncePerKind(problems).map((words) => `${file}: ${words}`)
      if (!records.length) return { exit: 1, errors: [...told, `${file}: no record was found.`] }
      const index = buildIndex(records.map(toDocument))
      const outcome = answer(
        args,
        asked.list.map((q) => search(index, records, q)),
        asked.several,
      )
      return {
        ...outcome,
        errors: [...told, ...(outcome.errors ?? [])],
      }
    },
  },
  standin: {
    help: 'search one of the invented databases, as it understands what is asked',
    usage: `--source ${STANDINS.map((s) => s.id).join('|')} (--query "…" | --queries FILE | --lines FILE) [--as-typed] [--release 2026-03] [--limit years=2015-2024 …]`,
    note: '--lines: typed one after another, later ones may refer to earlier ones; a tab parts a line from the limits that are ticked.',
    example: '--source fernhollow --query \'heading.below: "Classroom sound"\'',
    options: {
      source: 'value',
      query: 'value',
      queries: 'value',
      lines: 'value',
      'as-typed': 'flag',
      release: 'value',
      limit: 'values',
    },
    run: (args) => {
      if (args.get('lines')) return standinLines(args)
      const asked = queries(args)
      const limits = (args.get('limit') ?? []).map(readLimit)
      const source = loadStandin(required(args, 'source'), args.get('release')?.[0])
      return answer(
        args,
        asked.list.map((query) => searchStandin(source, query, args.has('as-typed'), limits)),
        asked.several,
      )
    },
  },
  translate: {
    help: 'write plain notation in the syntax of a profile, with what is lost',
    usage: '--to PROFILE --query "…"',
    note: 'PROFILE: an id of a stand-in, or a JSON file.',
    example: "--to mindmere --query 'sound NEAR/3 field*2'",
    options: { to: 'value', query: 'value' },
    run: (args) => {
      const profile = loadProfile(required(args, 'to'))
      const { tree, problems } = parse(required(args, 'query'))
      if (!tree || hasErrors(problems)) return { exit: 1, errors: problems.map(problemLine) }
      const { text, losses } = printFor(
        tree,
        profile,
        narrowerFor(profile.headings?.vocabulary ?? profile.id),
      )
      const output = args.has('json')
        ? JSON.stringify({ text, losses })
        : [
            text,
            ...losses.map(
              (l) => `  ${l.direction}: ${l.what} — ${l.was} became ${l.is}; ${l.why}. ${l.advice}`,
            ),
          ].join('\n')
      return { exit: 0, output, errors: problems.map(problemLine) }
    },
  },
  read: {
    help: 'read text in the syntax of a profile into plain notation',
    usage: '--from PROFILE --query "…"',
    note: 'PROFILE: an id of a stand-in, or a JSON file.',
    example: "--from wideband --query 'GIST[noise OR babble] LESS SET2'",
    options: { from: 'value', query: 'value' },
    run: (args) => {
      const { limits, ...read } = readWithLimits(required(args, 'query'), loadProfile(required(args, 'from')))
      return treeOutcome(args, read, limits)
    },
  },
  history: {
    help: 'read a search history that was pasted or saved, by a profile',
    usage: '--from PROFILE --file FILE [--fold] [--days day-first|month-first]',
    note: '--fold: lines that only limit another become part of it. --days: how a day like 03/12/2026 is meant.',
    example: '--from fernhollow --file history.txt --fold',
    options: { from: 'value', file: 'value', fold: 'flag', days: 'value' },
    run: (args) => {
      const profile = loadProfile(required(args, 'from'))
      const days = args.get('days')?.[0]
      const order = DAY_ORDERS[days ?? '']
      if (days !== undefined && !order)
        throw new UsageError(`--days is ${Object.keys(DAY_ORDERS).join(' or ')}, not "${days}".`)
      const { rows, layout, newestFirst, unread, problems } = recogniseHistory(
        inputText(required(args, 'file')),
        { order },
      )
      const read = readHistory(rows, profile)
      const searches = args.has('fold') ? foldLimitLines(read) : read
      const said = searches.map(({ row, text, described, limits, hits, problems: own }, i) => ({
        number: i + 1,
        there: row.number,
        sent: row.text,
        plain: described === undefined ? text : undefined,
        described,
        limits,
        hits,
        when: row.when,
        problems: own,
      }))
      const all = [...problems, ...searches.flatMap((s) => s.problems)]
      const output = args.has('json')
        ? JSON.stringify({ layout, newestFirst, searches: said, unread })
        : said
            .map(({ number, plain, described, limits, hits }) =>
              [number, hits ?? '?', withLimitWords(plain ?? `[${described}]`, limits)].join('\t'),
            )
            .join('\n')
      return { exit: hasErrors(all) ? 1 : 0, output, errors: all.map(problemLine) }
    },
  },
  cql: {
    help: 'CQL into plain notation (--query), or plain notation into CQL (--plain)',
    usage: '--query "…" | --plain "…"',
    example: '--query \'dc.title any "noise babble"\'',
    options: { query: 'value', plain: 'value' },
    run: (args) => {
      const plain = args.get('plain')?.[0]
      if (plain !== undefined && args.has('query')) throw new UsageError('Give --query or --plain, not both.')
      if (plain === undefined) return treeOutcome(args, readCql(required(args, 'query')))
      const { tree, problems } = parse(plain)
      if (!tree || hasErrors(problems)) return { exit: 1, errors: problems.map(problemLine) }
      const written = writeCql(tree)
      const all = [...problems, ...written.problems]
      return {
        exit: 0,
        output: args.has('json') ? JSON.stringify({ cql: written.text, problems: all }) : written.text,
        errors: all.map(problemLine),
      }
    },
  },
  vocabulary: {
    help: 'count what is in a vocabulary (SKOS as Turtle, N-Triples, JSON-LD, RDF/XML; a printed list of terms) and name its breaches',
    usage: '--file FILE.ttl',
    example: '--file public/data/girder.ttl',
    options: { file: 'value' },
    run: async (args) => {
      const file = required(args, 'file')
      const text = inputText(file)
      const read = await readVocabulary(text, { id: 'file', title: file, version: '' })
      const errors = read.problems.map((p) => `${file}: ${problemLine(p)}`)
      if (!read.ok) return { exit: 1, errors }
      const counts = countVocabulary(read.value)
      const output = args.has('json')
        ? JSON.stringify({ title: read.value.title, ...counts, breaches: read.problems })
        : [read.value.title, ...Object.entries(counts).map(([k, n]) => `  ${k}: ${n}`)].join('\n')
      return { exit: read.problems.length ? 1 : 0, output, errors }
    },
  },
  parse: {
    help: 'read plain notation into its tree',
    usage: '--query "…"',
    example: '--query \'"sound field" NEAR/3 classroom*\'',
    options: { query: 'value' },
    run: (args) => {
      const { tree, problems } = parse(required(args, 'query'))
      const output = args.has('json')
        ? JSON.stringify({ tree: tree ?? null, problems })
        : `${tree ? print(tree) : '(nothing)'}\n${JSON.stringify(tree ?? null, null, 2)}`
      return { exit: hasErrors(problems) ? 1 : 0, output, errors: problems.map(problemLine) }
    },
  },
}
