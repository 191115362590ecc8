import { digestWords, plural, type Problem } from '../../core/base'
import type { Entry } from '../../core/review'
import { UsageError, type Arguments } from '../arguments'
import { problemLine, type CliCommand, type Outcome } from '../command'
import { openReviewBytes, readPackage, type OpenedReview } from '../open-package'
import { checkBytes } from './check-bytes'
import { checkFlow, checkFrozen, checkPartition, checkTyped } from './check-record'
import { checkRuns } from './check-runs'
import { checked, reportText, type Check } from './report'

/** Is a digest that was kept elsewhere one of this journal? It may be given in hex or in words. */
export function checkDigest(given: string, entries: readonly Entry[]): Check {
  const said = given.trim().toLowerCase().split(/\s+/).join(' ')
  const entry = entries.find((e) => e.digest === said || digestWords(e.digest) === said)
  return checked(
    'Digest',
    entry ? `it is that of entry ${entry.seq}, of ${entry.at.slice(0, 10)}` : 'the one that was given',
    entry
      ? []
      : ['No entry of this journal has this digest: its history is another one, or it was written anew.'],
  )
}

/** The checks of the file itself, which are quick; with the review, where it can be opened. */
export async function verifyFile(bytes: Uint8Array): Promise<{ checks: Check[]; opened?: OpenedReview }> {
  const opened = await openReviewBytes(bytes)
  const words = (p: Problem): string => problemLine(p).replace(/^error: /, '')
  if ('problems' in opened)
    return {
      checks: [checked('Package', 'files, journal, and what lies beside it', opened.problems.map(words))],
    }
  const { entries } = opened
  const packed = await opened.packed()
  const beside = `${plural(packed.blobs.size, 'file')} beside the journal`
  const chain = `${plural(entries.length, 'entry', 'entries')} against the chain, ending in ${digestWords(entries.at(-1)!.digest)}`
  const remarks = packed.leftOut.length
    ? [`${plural(packed.leftOut.length, 'file')} left out when it was packed.`]
    : []
  return {
    checks: [
      checked('Package', `${beside} against the manifest, ${chain}`, [], remarks),
      await checkBytes(bytes, opened, packed),
    ],
    opened,
  }
}

/** All checks of a package, in their order; where it cannot be opened, only what is wrong with it. */
export async function verifyPackage(file: string, digest?: string): Promise<Check[]> {
  const { checks, opened } = await verifyFile(readPackage(file))
  if (!opened) return checks
  return [
    ...checks,
    ...(digest === undefined ? [] : [checkDigest(digest, opened.entries)]),
    checkPartition(opened),
    checkFlow(opened),
    await checkFrozen(opened),
    checkTyped(opened),
    checkRuns(opened),
  ]
}

async function run(args: Arguments): Promise<Outcome> {
  const files = args.get('') ?? []
  if (files.length !== 1) throw new UsageError('Give one package.')
  const checks = await verifyPackage(files[0]!, args.get('digest')?.[0])
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
