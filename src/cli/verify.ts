import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import type { Review } from '../core/review'
import { reportText, verifyPackage, type Check } from '../verify'
import { handedFrom } from './account'
import { UsageError, type Arguments } from './arguments'
import type { CliCommand, Outcome } from './command'
import { inputBytes } from './input'
import { going } from './progress'
import { loadStandin } from './standins'

/** The worker lies beside the program where it was put together; from its sources none can be started. */
const WORKER = new URL('./runs-worker.mjs', import.meta.url)
const BUILT = existsSync(WORKER)

/** Repeats the runs on another core. */
const runsBeside = (review: Review): Promise<Check> =>
  new Promise((done, failed) => {
    const worker = new Worker(WORKER, { workerData: review })
    worker.once('message', done).once('error', failed)
  })

async function run(args: Arguments): Promise<Outcome> {
  const files = args.get('') ?? []
  if (files.length !== 1) throw new UsageError('Give one package.')
  const done = ({ about, state }: Check): void => going.say(`${about}: ${state}`)
  going.say('reading the package')
  const here = { from: handedFrom, standin: loadStandin, ...(BUILT ? { runs: runsBeside } : {}), done }
  const checks = await verifyPackage(inputBytes(files[0]!), here, args.get('digest')?.[0])
  return {
    exit: checks.some((c) => c.state === 'fault') ? 1 : 0,
    output: args.has('json') ? JSON.stringify(checks) : reportText(checks),
  }
}

export const VERIFY_COMMANDS: Record<string, CliCommand> = {
  verify: {
    help: 'check a package: files, journal, partition, flow, frozen texts, and every run of a stand-in repeated',
    usage: 'PACKAGE [--digest "HEX OR WORDS"]',
    note: '--digest: one that was kept elsewhere, in hex or in eight words. Exit code 1 on any fault.',
    example: 'review.luvren.zip',
    files: true,
    options: { digest: 'value', json: 'flag' },
    run,
  },
}
