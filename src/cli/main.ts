#!/usr/bin/env -S npx tsx
import { messageOf } from '@/core/base'
import { COMMANDS } from './commands'
import { parseArguments, UsageError } from './arguments'
import type { CliCommand } from './command'
import { going } from './progress'

const CALL = 'npm run -s luvren --'

const HELP = `Luvren on the command line

  ${CALL} COMMAND [options]

${Object.entries(COMMANDS)
  .map(([name, c]) => `  ${name.padEnd(11)}${c.help}`)
  .join('\n')}

  ${CALL} help COMMAND   says more of one, with an example

A file that is called - is standard input, or standard output where one is written. Add --json for JSON. Exit code 0: fine; 1: something is wrong with what was read; 2: the call was not understood.`

const helpOf = (name: string, { help, usage, note, example }: CliCommand): string =>
  [
    `${name}: ${help}`,
    '',
    `  ${CALL} ${name} ${usage}`,
    ...(note ? ['', note] : []),
    '',
    'For example:',
    '',
    `  ${CALL} ${name} ${example}`,
  ].join('\n')

/** Runs one call and gives its exit code. */
async function main(words: string[]): Promise<number> {
  const asked = words[0] === 'help' || words.includes('--help')
  const [name, ...rest] = (words[0] === 'help' ? words.slice(1) : words).filter((w) => w !== '--help')
  if (!name) {
    console.log(HELP)
    return asked ? 0 : 2
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command)
    throw new UsageError(
      `There is no command "${name}". The commands are ${Object.keys(COMMANDS).join(', ')}.`,
    )
  if (asked) {
    console.log(helpOf(name, command))
    return 0
  }
  const given = parseArguments(rest, command.options, command.files)
  const { exit, output, bytes, errors } = await (async () => command.run(given))().finally(going.end)
  if (output !== undefined) process.stdout.write(output.endsWith('\n') ? output : `${output}\n`)
  if (bytes) process.stdout.write(bytes)
  for (const line of errors ?? []) console.error(line)
  return exit
}

main(process.argv.slice(2)).then(
  (code) => {
    process.exitCode = code
  },
  (error: unknown) => {
    console.error(messageOf(error))
    if (!(error instanceof UsageError)) process.exitCode = 1
    else process.exitCode = 2
  },
)
