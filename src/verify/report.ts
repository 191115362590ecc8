import { plural } from '../core/base'

/** What one check of a package came to. */
export interface Check {
  /** What was checked, in a few words. */
  about: string
  state: 'right' | 'fault' | 'not checked'
  /** What was looked at, or why it could not be. */
  says: string
  /** What differs, each with where. */
  faults: string[]
  /** What of it could not be looked at, each with why; the check is not wholly made then. */
  open: string[]
  /** What is worth knowing and no fault. */
  remarks: string[]
  /** So many things were typed by people, and no package can tell whether they are so. */
  onTrust?: number
}

const MARK = { right: 'right      ', fault: 'FAULT      ', 'not checked': 'not checked' } as const

/** A check that found these faults; without any it is right, if nothing of it was left open. */
export const checked = (
  about: string,
  says: string,
  faults: string[],
  remarks: string[] = [],
  { open = [], onTrust = 0 }: { open?: string[]; onTrust?: number } = {},
): Check => ({
  about,
  state: faults.length ? 'fault' : open.length ? 'not checked' : 'right',
  says,
  faults,
  open,
  remarks,
  ...(onTrust ? { onTrust } : {}),
})

/** The same of what could not be looked at. */
export const unchecked = (about: string, why: string): Check => ({
  about,
  state: 'not checked',
  says: why,
  faults: [],
  open: [],
  remarks: [],
})

/** Findings of one check that are shown; the others are counted. */
const SHOWN = 12

/** The report for reading: a line for each check, what differs below it, and what it comes to. */
export function reportText(checks: readonly Check[]): string {
  const shown = (lines: readonly string[]): string[] => [
    ...lines.slice(0, SHOWN).map((l) => `             ${l}`),
    ...(lines.length > SHOWN ? [`             and ${lines.length - SHOWN} more`] : []),
  ]
  return [
    ...checks.flatMap((c) => [
      `${MARK[c.state]}  ${c.about}: ${c.says}`,
      ...shown([...c.faults, ...c.open, ...c.remarks]),
    ]),
    '',
    sumWords(checks),
  ].join('\n')
}

/** How a call ends: 0, all was checked and is right; 1, a fault; 3, something could not be checked. */
export const endOf = (checks: readonly Check[]): 0 | 1 | 3 =>
  checks.some((c) => c.state === 'fault') ? 1 : checks.some((c) => c.state === 'not checked') ? 3 : 0

/** What all checks come to, in a sentence or two. */
export function sumWords(checks: readonly Check[]): string {
  const faults = checks.filter((c) => c.state === 'fault').length
  const open = checks.filter((c) => c.state === 'not checked').length
  if (faults && checks.length === 1) return 'It cannot be opened, so nothing else was checked.'
  const onTrust = checks.reduce((n, c) => n + (c.onTrust ?? 0), 0)
  const trust = onTrust
    ? ` ${plural(onTrust, 'run')} typed by people ${onTrust === 1 ? 'is' : 'are'} taken on trust.`
    : ''
  const could = open
    ? `${open} of ${checks.length} checks could not be made here, or not wholly.`
    : `All ${checks.length} checks were made.`
  if (faults) return `${faults} of ${checks.length} checks found a fault.${open ? ` ${could}` : ''}${trust}`
  return open ? `${could} The others found nothing wrong.${trust}` : `No fault was found. ${could}${trust}`
}
