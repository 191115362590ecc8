import { existsSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import type { Review } from '../core/review'
import { endOf, reportText, verifyPackage, type Check } from '../verify'
import { handedFrom } from './account'
import { UsageError, type Arguments } from './arguments'
import type { CliCommand, Outcome } from './command'
import { inputBytes } from './input'
import { going } from './progress'
import { loadStandin } from './standins'

/** The worker lies beside the program where it was put together; from its sources none can be started. */
const WORKER = new URL('./runs-worker.mjs', import.meta.url)
const BUILT = existsSync(WORKER)

/** Another core that repeats runs. It is started before they are known, for it takes a while to read its modules. */
function beside(): { runs: (review: Review) => Promise<Check>; end: () => Promise<unknown> } {
  const worker = new Worker(WORKER)
  const check = new Promise<Check>((done, failed) => {
    worker.once('message', done).once('error', failed)
  })
  // A failure is told where its check stands, if the package can be opened at all.
  check.catch(() => undefined)
  const runs = (review: Review): Promise<Check> => {
    worker.postMessage(review)
    return check
  }
  return { runs, end: () => worker.terminate() }
}

async function run(args: Arguments): Promise<Outcome> {
  const files = args.get('') ?? []
  if (files.length !== 1) throw new UsageError('Give one package.')
  const done = ({ about, state }: Check): void => going.say(`${about}: ${state}`)
  going.say('reading the package')
  const bytes = inputBytes(files[0]!)
  const other = BUILT ? beside() : undefined
  const here = {
    from: handedFrom,
    standin: loadStandin,
    now: new Date().toISOString(),
    ...(other && { runs: other.runs }),
    done,
  }
  const checks = await verifyPackage(bytes, here, args.get('digest')?.[0]).finally(other?.end)
  return {
    exit: endOf(checks),
    output: args.has('json') ? JSON.stringify(checks) : reportText(checks),
  }
}

export const VERIFY_COMMANDS: Record<string, CliCommand> = {
  verify: {
    help: 'check a package: files, text, journal, partition, flow, frozen texts, and every run of a stand-in repeated',
    usage: 'PACKAGE [--digest "HEX OR WORDS"]',
    note: '--digest: one that was kept elsewhere, in hex or in eight words. Exit code 0: all was checked and is right; 1: a fault; 3: something could not be checked.',
    example: 'review.luvren.zip',
    files: true,
    options: { digest: 'value', json: 'flag' },
    run,
  },
}
