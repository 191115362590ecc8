import { problem, type Result } from '../base'
import { parseSound } from '../query'
import { collisionsOf } from './collisions'
import { printFor } from './print'
import { readProfile, type Profile } from './schema'

/**
 * A description as it comes in from a file or a form: refused where it is none, where two of its forms cannot be told apart,
 * or where one of the queries that came with it does not become what it says. Descriptions that are kept already are not
 * asked again: what was written with them stays as it was.
 */
export function readDescription(value: unknown): Result<Profile> {
  const read = readProfile(value)
  if (!read.ok) return read
  const problems = [
    ...collisionsOf(read.value).map(({ one, other, text }) =>
      problem(
        'collision',
        'error',
        `In forms: ${one} and ${other} cannot be told apart, for instance in ${text}.`,
        'forms',
      ),
    ),
    ...(read.value.tests ?? []).flatMap(({ query, becomes }, i) => {
      const tree = parseSound(query)
      const at = `tests.${i}`
      if (!tree) return [problem('test-query', 'error', `In ${at}: ${query} cannot be read.`, at)]
      const { text } = printFor(tree, read.value)
      return text === becomes
        ? []
        : [problem('test', 'error', `In ${at}: ${query} becomes ${text}, and should become ${becomes}.`, at)]
    }),
  ]
  return problems.length ? { ok: false, problems } : read
}
