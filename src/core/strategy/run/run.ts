import { hasErrors, problem, type Problem } from '../../base'
import { applyLimits, EMPTY, evaluate, type DocSet, type EvaluateOptions, type Index } from '../../engine'
import { limitAs, printFor, type Loss, type Printed, type Profile } from '../../profile'
import { parse, print, referredLines, type Expr, type LimitValue, type Parsed } from '../../query'
import { habitsOf, searchAsTyped } from './as-typed'
import { lineKeys, type LineLike } from '../lines/keys'
import { writtenOut } from './written-out'

/** A database that can be searched here: its index, how it speaks, and how it understands headings and fields. */
export interface SearchSource {
  index: Index
  /** Absent: plain notation is evaluated as it stands. */
  profile?: Profile
  options: EvaluateOptions
  /** Labels of a heading and all below it. */
  withNarrower?: (label: string) => readonly string[] | undefined
}

export interface LineResult {
  id: string
  number: number
  /** Undefined where the line could not be run; `problems` says why. */
  docs: DocSet | undefined
  /** What was sent, in the database's own syntax. */
  sent: string
  /** What the database could not say as it was meant. */
  losses: Loss[]
  problems: Problem[]
}

/**
 * Runs the lines in order, each over the results of earlier ones. Each line is written in the database's syntax, and
 * that text is what is searched. A line with errors is not run, nor is one that refers to it. A reference forward or
 * to the line itself is an error of that line. Where a database keeps no lines, what they say is written out in full,
 * and the limits of the lines referred to hold with it.
 */
export function runStrategy(
  source: SearchSource,
  lines: readonly LineLike[],
  cache?: RunCache,
): LineResult[] {
  return [...runLines(source, lines, cache)]
}

/**
 * What one source found, by what was asked (see `lineKeys`): a line that asks the same, wherever it stands now, is not
 * searched again. Holds what the last run asked, so that it does not grow for ever.
 */
export type RunCache = Map<string, { docs: DocSet; problems: Problem[] }>

/** The same, one line after the other, so that the caller may show progress or stop. */
export function* runLines(
  source: SearchSource,
  lines: readonly LineLike[],
  cache?: RunCache,
): Generator<LineResult, void> {
  const trees = lines.map((l) => parse(l.text))
  const results: LineResult[] = []
  const keys = cache && lineKeys(lines)
  const used: RunCache = new Map()
  for (const [i, line] of lines.entries()) {
    const key = keys?.get(line.id) ?? ''
    const result = runLine(source, lines, trees, results, i, cache?.get(key) ?? used.get(key))
    results.push(result)
    if (keys && result.docs) used.set(key, { docs: result.docs, problems: result.problems })
    yield result
  }
  if (!cache) return
  cache.clear()
  for (const [key, answer] of used) cache.set(key, answer)
}

/** Runs one line over the results of those above it; `known` is what it found before, if it asks the same. */
function runLine(
  source: SearchSource,
  lines: readonly LineLike[],
  trees: readonly Parsed[],
  above: readonly LineResult[],
  i: number,
  known: { docs: DocSet; problems: Problem[] } | undefined,
): LineResult {
  const line = lines[i]!
  const { tree, problems } = trees[i]!
  const result: LineResult = {
    id: line.id,
    number: i + 1,
    docs: undefined,
    sent: '',
    losses: [],
    problems: [...problems],
  }
  const say = (code: string, message: string): void => {
    result.problems.push(problem(code, 'error', message))
  }
  if (line.described !== undefined) {
    result.sent = line.described
    result.problems = [
      problem('line-described', 'note', `Line ${i + 1} has no text to be sent: log what it gave.`),
    ]
    return result
  }
  if (!tree || hasErrors(problems)) {
    if (!problems.length) say('line-empty', `Line ${i + 1} says nothing that could be searched.`)
    return result
  }
  const missing = referredLines(tree).filter((n) => n > i || n < 1 || !above[n - 1]?.docs)
  for (const n of missing)
    say(
      'line-not-run',
      n > i || n < 1
        ? `Line ${i + 1} cannot refer to line ${n}: only to lines above it.`
        : `Line ${n}, which this line needs, could not be run.`,
    )
  if (missing.length) return result
  // The text is written anew even where the answer is known: lines may have other numbers now.
  const said = sayingOf(source, tree, (n) => trees[n - 1]?.tree)
  result.sent = said.text
  result.losses = said.losses
  if (known) return { ...result, docs: known.docs, problems: known.problems }
  const answer = search(source, tree, said, (n) => above[n - 1]?.docs)
  result.problems.push(...answer.problems)
  const inherited =
    source.profile && !source.profile.lines
      ? limitsBelow(
          lines,
          trees.map((t) => t.tree),
          i,
        )
      : []
  const asked = [...inherited, ...line.limits]
  const unavailable = asked.filter((l) => source.profile && !limitAs(l, source.profile))
  for (const l of unavailable)
    say('limit-unavailable', `${source.profile!.name} has no limit by ${l.kind}: take it off this line.`)
  if (!answer.docs || unavailable.length) return result
  const set = asked.flatMap((l) => (source.profile ? limitAs(l, source.profile)! : l))
  result.docs = applyLimits(source.index, answer.docs, set)
  return result
}

/** How a source is asked for an expression: in its own syntax, or in plain notation where it has no profile. */
function sayingOf(source: SearchSource, tree: Expr, treeOf: (n: number) => Expr | undefined): Printed {
  const { profile, withNarrower } = source
  if (!profile) {
    const text = print(tree)
    return { text, losses: [], said: tree, queries: [{ text, tree }] }
  }
  return printFor(tree, profile, {
    ...(withNarrower ? { withNarrower } : {}),
    line: (n) => writtenOut(n, treeOf),
  })
}

/** What a source finds for an expression without references, as it is sent there; and what it cannot say of it. */
export function asSent(source: SearchSource, e: Expr): { docs: DocSet; losses: readonly Loss[] } {
  const said = sayingOf(source, e, () => undefined)
  return { docs: search(source, e, said, () => undefined).docs ?? EMPTY, losses: said.losses }
}

function search(
  source: SearchSource,
  tree: Expr,
  { text, said }: Printed,
  docsOf: (n: number) => DocSet | undefined,
): { docs: DocSet | undefined; problems: Problem[] } {
  const options: EvaluateOptions = { ...source.options, line: (n) => docsOf(n) ?? EMPTY }
  const { index, profile } = source
  if (!profile) return evaluate(index, tree, options)
  // What was too long for one query went out in rows; together they say `said`.
  if (text.includes('\n')) return evaluate(index, said, { ...options, ...habitsOf(profile) })
  return searchAsTyped(index, text, profile, options)
}

/** The limits of the lines that a line refers to, however far back, those of each line once. */
function limitsBelow(
  lines: readonly LineLike[],
  trees: readonly (Expr | undefined)[],
  i: number,
): LimitValue[] {
  const seen = new Set<number>()
  const limits: LimitValue[] = []
  const below = (at: number): void => {
    const tree = trees[at]
    for (const n of tree ? referredLines(tree) : [])
      if (n >= 1 && n <= at && !seen.has(n)) {
        seen.add(n)
        below(n - 1)
        limits.push(...lines[n - 1]!.limits)
      }
  }
  below(i)
  return limits
}
