import { reportText, verifyPackage } from '../verify'
import { handedFrom } from './account'
import { UsageError, type Arguments } from './arguments'
import type { CliCommand, Outcome } from './command'
import { inputBytes } from './input'
import { loadStandin } from './standins'

async function run(args: Arguments): Promise<Outcome> {
  const files = args.get('') ?? []
  if (files.length !== 1) throw new UsageError('Give one package.')
  const here = { from: handedFrom, standin: loadStandin }
  const checks = await verifyPackage(inputBytes(files[0]!), here, args.get('digest')?.[0])
  return {
    exit: checks.some((c) => c.state === 'fault') ? 1 : 0,
    output: args.has('json') ? JSON.stringify(checks) : reportText(checks),
  }
}

export const VERIFY_COMMANDS: Record<string, CliCommand> = {
  verify: {
    help: 'Check a package: files, journal, partition, flow, frozen texts, and every run of a stand-in repeated. Exit 1 on any fault.',
    usage: 'verify PACKAGE [--digest "HEX OR WORDS"] [--json]   (--digest: one that was kept elsewhere)',
    files: true,
    options: { digest: 'value', json: 'flag' },
    run,
  },
}
