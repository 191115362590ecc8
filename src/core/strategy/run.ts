import { hasErrors, problem, type Problem } from '../base'
import { applyLimits, EMPTY, evaluate, type DocSet, type EvaluateOptions, type Index } from '../engine'
import { parse } from '../query'
import type { LineLike } from './keys'

/** A database that can be searched here: its index and how it understands headings and fields. */
export interface SearchSource {
  index: Index
  options: EvaluateOptions
}

export interface LineResult {
  id: string
  number: number
  /** Undefined where the line could not be run; `problems` says why. */
  docs: DocSet | undefined
  problems: Problem[]
}

/**
 * Runs the lines in order, each over the results of earlier ones. A line with errors is not run, nor is one that
 * refers to it. A reference forward or to the line itself is an error of that line.
 */
export function runStrategy(source: SearchSource, lines: readonly LineLike[]): LineResult[] {
  const results: LineResult[] = []
  for (const [i, line] of lines.entries()) {
    const { tree, problems } = parse(line.text)
    if (!tree || hasErrors(problems)) {
      const empty = problem('line-empty', 'error', `Line ${i + 1} says nothing that could be searched.`)
      results.push({
        id: line.id,
        number: i + 1,
        docs: undefined,
        problems: tree || problems.length ? problems : [empty],
      })
      continue
    }
    const missing = new Set<number>()
    const found = evaluate(source.index, tree, {
      ...source.options,
      line: (n) => {
        const docs = n <= i ? results[n - 1]?.docs : undefined
        if (!docs) missing.add(n)
        return docs ?? EMPTY
      },
    })
    const lost = [...missing].map((n) =>
      problem(
        'line-not-run',
        'error',
        n > i
          ? `Line ${i + 1} cannot refer to line ${n}: only to lines above it.`
          : `Line ${n}, which this line needs, could not be run.`,
      ),
    )
    const all = [...problems, ...lost, ...found.problems]
    results.push({
      id: line.id,
      number: i + 1,
      docs: lost.length ? undefined : applyLimits(source.index, found.docs, line.limits),
      problems: all,
    })
  }
  return results
}
