import { readFileSync } from 'node:fs'
import { hasErrors, type Problem } from '../core/base'
import { buildIndex, evaluate, type Index } from '../core/engine'
import { parse, print } from '../core/query'
import { readRis, toDocument, type Rec } from '../core/records'
import { STANDINS } from '../standins'
import { required, UsageError, type Arguments, type Options } from './arguments'
import { loadStandin } from './standins'

export interface Outcome {
  exit: 0 | 1
  output?: string
  errors?: string[]
}

export interface CliCommand {
  help: string
  usage: string
  options: Options
  run: (args: Arguments) => Outcome | Promise<Outcome>
}

function readFile(name: string): string {
  try {
    return readFileSync(name, 'utf8')
  } catch (error) {
    throw new UsageError(
      `${name} could not be read: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
}

/** A problem as one line on standard error, with its place. */
export function problemLine(p: Problem): string {
  const at = Array.isArray(p.at) ? ` (characters ${p.at[0]}–${p.at[1]})` : p.at ? ` (${String(p.at)})` : ''
  return `${p.severity}: ${p.message}${at}`
}

interface Found {
  hits: number
  ids: string[]
}

interface Searched {
  found: Found | undefined
  problems: Problem[]
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
    list: readFile(file)
      .split(/\r?\n/)
      .filter((l) => l.trim()),
    several: true,
  }
}

export const COMMANDS: Record<string, CliCommand> = {
  search: {
    help: 'search the records of a RIS file',
    usage: '--records FILE.ris (--query "…" | --queries FILE)',
    options: { records: 'value', query: 'value', queries: 'value' },
    run: (args) => {
      const asked = queries(args)
      const file = required(args, 'records')
      const { records, problems } = readRis(readFile(file))
      if (hasErrors(problems)) return { exit: 1, errors: problems.map((p) => `${file}: ${problemLine(p)}`) }
      const index = buildIndex(records.map(toDocument))
      const outcome = answer(
        args,
        asked.list.map((q) => search(index, records, q)),
        asked.several,
      )
      return {
        ...outcome,
        errors: [...problems.map((p) => `${file}: ${problemLine(p)}`), ...(outcome.errors ?? [])],
      }
    },
  },
  standin: {
    help: 'search one of the invented databases',
    usage: `--source ${STANDINS.map((s) => s.id).join('|')} (--query "…" | --queries FILE)`,
    options: { source: 'value', query: 'value', queries: 'value' },
    run: (args) => {
      const asked = queries(args)
      const source = loadStandin(required(args, 'source'))
      const searched = asked.list.map((query): Searched => {
        const { tree, problems } = parse(query)
        if (!tree || hasErrors(problems)) return search(source.index, source.records, query)
        const { docs, problems: more } = evaluate(source.index, tree, source.options)
        const ids = Array.from(docs, (d) => source.records[d]!.id)
        return { found: { hits: docs.length, ids }, problems: [...problems, ...more] }
      })
      return answer(args, searched, asked.several)
    },
  },
  parse: {
    help: 'read plain notation into its tree',
    usage: '--query "…"',
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
