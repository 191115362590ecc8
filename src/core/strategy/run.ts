import { hasErrors, problem, type Problem } from '../base'
import { applyLimits, EMPTY, evaluate, type DocSet, type EvaluateOptions, type Index } from '../engine'
import { limitAs, printFor, type Loss, type Profile } from '../profile'
import { and, or, parse, print, referredLines, type Expr, type LimitValue } from '../query'
import { habitsOf, searchAsTyped } from './as-typed'
import type { LineLike } from './keys'

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
export function runStrategy(source: SearchSource, lines: readonly LineLike[]): LineResult[] {
  const trees = lines.map((l) => parse(l.text))
  const results: LineResult[] = []
  for (const [i, line] of lines.entries()) {
    const { tree, problems } = trees[i]!
    const result: LineResult = {
      id: line.id,
      number: i + 1,
      docs: undefined,
      sent: '',
      losses: [],
      problems: [...problems],
    }
    results.push(result)
    if (!tree || hasErrors(problems)) {
      if (!problems.length)
        result.problems.push(
          problem('line-empty', 'error', `Line ${i + 1} says nothing that could be searched.`),
        )
      continue
    }
    const missing = referredLines(tree).filter((n) => n > i || n < 1 || !results[n - 1]?.docs)
    if (missing.length) {
      for (const n of missing)
        result.problems.push(
          problem(
            'line-not-run',
            'error',
            n > i || n < 1
              ? `Line ${i + 1} cannot refer to line ${n}: only to lines above it.`
              : `Line ${n}, which this line needs, could not be run.`,
          ),
        )
      continue
    }
    const answer = ask(
      source,
      tree,
      (n) => results[n - 1]?.docs,
      (n) => trees[n - 1]?.tree,
    )
    result.sent = answer.sent
    result.losses = answer.losses
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
      result.problems.push(
        problem(
          'limit-unavailable',
          'error',
          `${source.profile!.name} has no limit by ${l.kind}: take it off this line.`,
        ),
      )
    if (!answer.docs || unavailable.length) continue
    const set = asked.flatMap((l) => (source.profile ? limitAs(l, source.profile)! : l))
    result.docs = applyLimits(source.index, answer.docs, set)
  }
  return results
}

function ask(
  source: SearchSource,
  tree: Expr,
  docsOf: (n: number) => DocSet | undefined,
  treeOf: (n: number) => Expr | undefined,
): { docs: DocSet | undefined; sent: string; losses: Loss[]; problems: Problem[] } {
  const options: EvaluateOptions = { ...source.options, line: (n) => docsOf(n) ?? EMPTY }
  const { profile } = source
  if (!profile) {
    const found = evaluate(source.index, tree, options)
    return { docs: found.docs, sent: print(tree), losses: [], problems: found.problems }
  }
  const { text, losses, said } = printFor(tree, profile, {
    ...(source.withNarrower ? { withNarrower: source.withNarrower } : {}),
    line: (n) => writtenOut(n, treeOf),
  })
  // What was too long for one query went out in rows; together they say `said`.
  const whole = text.includes('\n')
    ? evaluate(source.index, said, { ...options, ...habitsOf(profile) })
    : searchAsTyped(source.index, text, profile, options)
  return { docs: whole.docs, sent: text, losses, problems: whole.problems }
}

/** What a line says with all lines it refers to written out; a reference forward stays as it is. */
export function writtenOut(number: number, treeOf: (n: number) => Expr | undefined): Expr | undefined {
  const open = (e: Expr): Expr => {
    // References only go back; one that does not would never end.
    if (e.kind === 'line') return (e.number < number ? writtenOut(e.number, treeOf) : undefined) ?? e
    if (e.kind === 'lines') {
      const parts = referredLines(e).map(
        (n) => (n < number ? writtenOut(n, treeOf) : undefined) ?? ({ kind: 'line', number: n } as const),
      )
      return e.mode === 'any' ? or(...parts) : and(...parts)
    }
    if (e.kind === 'and' || e.kind === 'or' || e.kind === 'not') return { ...e, parts: e.parts.map(open) }
    if (e.kind === 'fields') return { ...e, of: open(e.of) }
    return e
  }
  const tree = treeOf(number)
  return tree && open(tree)
}

/** The limits of the lines that a line refers to, however far back. */
function limitsBelow(
  lines: readonly LineLike[],
  trees: readonly (Expr | undefined)[],
  i: number,
): LimitValue[] {
  const tree = trees[i]
  return tree
    ? referredLines(tree).flatMap((n) =>
        n <= i ? [...limitsBelow(lines, trees, n - 1), ...lines[n - 1]!.limits] : [],
      )
    : []
}
