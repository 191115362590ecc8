import { learn } from '../core/profile'
import { UsageError } from './arguments'
import type { CliCommand } from './command'
import { inputText } from './input'

export const LEARN_COMMANDS: Readonly<Record<string, CliCommand>> = {
  learn: {
    help: 'learn the description of a database from examples, with what is in doubt',
    usage: 'FILE [--name NAME]',
    note: 'One example a line; or what it shows ("title words"), a tab, and the example. Rows of a history may have numbers and counts.',
    example: 'help-page.txt --name "Lantern Index" --json',
    options: { name: 'value' },
    files: true,
    run: (args) => {
      const [file] = args.get('') ?? []
      if (file === undefined) throw new UsageError('learn needs a FILE of examples.')
      const { profile, doubts, seen, questions } = learn(inputText(file), args.get('name')?.[0])
      const lines = (of: readonly number[]): string =>
        of.length ? ` (${of.length === 1 ? 'line' : 'lines'} ${of.join(', ')})` : ''
      const output = args.has('json')
        ? JSON.stringify({ profile, doubts, seen, questions })
        : [JSON.stringify(profile, null, 2), ...questions.map((q) => `to be answered: ${q}`)].join('\n')
      return { exit: 0, output, errors: doubts.map((d) => `${d.at}: ${d.words}${lines(d.seen)}`) }
    },
  },
}
