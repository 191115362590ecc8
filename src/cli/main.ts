#!/usr/bin/env -S npx tsx
import { messageOf } from '@/core/base'
import { COMMANDS } from './commands'
import { parseArguments, UsageError } from './arguments'

const HELP = `Luvren on the command line

  npm run -s luvren -- COMMAND [options]

${Object.entries(COMMANDS)
  .map(([name, c]) => `  ${name.padEnd(11)}${c.help}\n${' '.repeat(13)}${c.usage}`)
  .join('\n')}

A file that is called - is standard input, and for convert standard output too. Add --json for JSON. Exit code 0: fine; 1: something is wrong with what was read; 2: the call was not understood.`

/** Runs one call and gives its exit code. */
async function main(words: string[]): Promise<number> {
  const [name, ...rest] = words
  if (!name || name === 'help' || name === '--help') {
    console.log(HELP)
    return name ? 0 : 2
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command)
    throw new UsageError(
      `There is no command "${name}". The commands are ${Object.keys(COMMANDS).join(', ')}.`,
    )
  const { exit, output, errors } = await command.run(parseArguments(rest, command.options, command.files))
  if (output !== undefined) process.stdout.write(output.endsWith('\n') ? output : `${output}\n`)
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
