import { printFor, withLimits, type Printed, type Profile } from '../../profile'
import { parse } from '../../query'
import type { Run } from '../../review'
import type { LineLike } from '../lines/keys'
import { limitsToSend } from '../limits/ledger'
import { renumber } from '../lines/references'
import { numbersThere } from './numbers-there'
import { writtenOut } from './written-out'

/** A line as it is sent: in the source's own syntax, its limits in the text or to be set on the screen. */
export type ToSend = Pick<Printed, 'losses'> & ReturnType<typeof withLimits>

/**
 * What is sent of a line to a source that is described so. Lines that it names are called by the numbers they have there, as
 * far as runs tell; where it keeps no lines they are written out, with every limit that holds for them. Where it had to be
 * parted, the limits stand in each query that is no mere row of the last. Undefined where the text of the line cannot be read.
 */
export function lineToSend(
  lines: readonly LineLike[],
  number: number,
  profile: Profile,
  runs: readonly Run[] = [],
): ToSend | undefined {
  const trees = lines.map((l) => parse(l.text).tree)
  const own = trees[number - 1]
  if (!own) return undefined
  const tree = profile.lines ? renumber(own, numbersThere(lines, runs)) : own
  const printed = printFor(tree, profile, { line: (n) => writtenOut(n, (k) => trees[k - 1]) })
  const limits = limitsToSend(lines, profile.lines !== undefined)[number - 1]!
  const { losses, queries } = printed
  if (queries.length < 2) return { losses, ...withLimits(printed.text, limits, profile) }
  const lined = losses.some((l) => 'how' in l.cause && l.cause.how === 'lines')
  const said = queries.map((q, i) =>
    withLimits(q.text, lined && i < queries.length - 1 ? [] : limits, profile),
  )
  const sign = printed.text.includes('\n\n') ? '\n\n' : '\n'
  return { losses, ...said.at(-1)!, text: said.map((s) => s.text).join(sign) }
}
