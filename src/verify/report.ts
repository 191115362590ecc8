/** What one check of a package came to. */
export interface Check {
  /** What was checked, in a few words. */
  about: string
  state: 'right' | 'fault' | 'not checked'
  /** What was looked at, or why it could not be. */
  says: string
  /** What differs, each with where. */
  faults: string[]
  /** What is worth knowing and no fault. */
  remarks: string[]
}

const MARK = { right: 'right      ', fault: 'FAULT      ', 'not checked': 'not checked' } as const

/** A check that found these faults; without any it is right. */
export const checked = (about: string, says: string, faults: string[], remarks: string[] = []): Check => ({
  about,
  state: faults.length ? 'fault' : 'right',
  says,
  faults,
  remarks,
})

/** The same of what could not be looked at. */
export const unchecked = (about: string, why: string): Check => ({
  about,
  state: 'not checked',
  says: why,
  faults: [],
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
      ...shown([...c.faults, ...c.remarks]),
    ]),
    '',
    sumWords(checks),
  ].join('\n')
}

/** What all checks come to, in a sentence. */
export function sumWords(checks: readonly Check[]): string {
  const faults = checks.filter((c) => c.state === 'fault').length
  const open = checks.filter((c) => c.state === 'not checked').length
  if (faults && checks.length === 1) return 'It cannot be opened, so nothing else was checked.'
  if (faults) return `${faults} of ${checks.length} checks found a fault.`
  return open
    ? `No fault was found; ${open} of ${checks.length} could not be checked here.`
    : `All ${checks.length} checks found the package right.`
}
