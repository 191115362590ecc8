import type { Problem } from '../core/base'
import { readWithLimits } from '../core/profile'
import { print, tickedLimit, type LimitValue } from '../core/query'
import { runStrategy } from '../core/strategy'
import { LATEST } from '../standins'
import { required, UsageError, type Arguments } from './arguments'
import { problemLine, type Outcome } from './command'
import { inputText } from './input'
import { loadStandin } from './standins'

/** Lines as Appendix B prints them, typed one after another: the text as sent, a tab, and the limits to be ticked. */
function typedLines(
  id: string,
  release: string,
  typed: readonly { sent: string; limits: string }[],
): { hits: (number | undefined)[]; problems: Problem[] } {
  const source = loadStandin(id, release)
  const problems: Problem[] = []
  const lines = typed.map(({ sent, limits }, n) => {
    const read = readWithLimits(sent, source.profile)
    problems.push(...read.problems.filter((p) => p.severity === 'error'))
    const ticked = limits
      .split(';')
      .map((l) => l.trim())
      .filter(Boolean)
      .map((words): LimitValue => {
        const limit = tickedLimit(words)
        if (!limit) throw new UsageError(`Line ${n + 1}: “${words}” is no limit that could be ticked.`)
        return limit
      })
    return {
      id: String(n),
      text: read.tree ? print(read.tree) : '',
      limits: [...read.limits, ...ticked],
    }
  })
  return { hits: runStrategy(source, lines).map((r) => r.docs?.length), problems }
}

export function standinLines(args: Arguments): Outcome {
  const typed = inputText(required(args, 'lines'))
    .split(/\r?\n/)
    .filter((l) => l.trim())
    .map((l) => {
      const [sent = '', limits = ''] = l.split('\t')
      return { sent, limits }
    })
  const { hits, problems } = typedLines(required(args, 'source'), args.get('release')?.[0] ?? LATEST, typed)
  return {
    exit: problems.length || hits.some((h) => h === undefined) ? 1 : 0,
    output: JSON.stringify(hits.map((h) => h ?? null)),
    errors: problems.map(problemLine),
  }
}
