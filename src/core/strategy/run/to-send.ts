import { printFor, withLimits, type Printed, type Profile } from '../../profile'
import { parse } from '../../query'
import type { LineLike } from '../lines/keys'
import { limitsToSend } from '../limits/ledger'
import { writtenOut } from './run'

/** A line as it is sent: in the source's own syntax, its limits in the text or to be set on the screen. */
export type ToSend = Pick<Printed, 'losses'> & ReturnType<typeof withLimits>

/**
 * What is sent of a line to a source that is described so. Where it keeps no lines, those that this one names are written out,
 * with every limit that holds for them. Undefined where the text of the line cannot be read.
 */
export function lineToSend(lines: readonly LineLike[], number: number, profile: Profile): ToSend | undefined {
  const trees = lines.map((l) => parse(l.text).tree)
  const tree = trees[number - 1]
  if (!tree) return undefined
  const { text, losses } = printFor(tree, profile, { line: (n) => writtenOut(n, (k) => trees[k - 1]) })
  const limits = limitsToSend(lines, profile.lines !== undefined)[number - 1]!
  return { losses, ...withLimits(text, limits, profile) }
}
