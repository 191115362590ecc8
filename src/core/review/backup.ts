/** How often a person wants to be reminded of a backup: after so many days with work in them; never where absent. */
export const BACKUP_RHYTHMS = {
  'every day': 1,
  'every week': 7,
  'every month': 30,
  never: undefined,
} as const
export type BackupRhythm = keyof typeof BACKUP_RHYTHMS

/** The last backup of a review: when, and with how many entries. */
export interface LastBackup {
  at: string
  entries: number
}

const DAY = 86_400_000

/**
 * For how many whole days there has been work without a backup, where that is longer than the rhythm allows; undefined where
 * none is due. `since` are the deeds that no backup holds, the first first.
 */
export function backupDue(
  since: readonly { at: string }[],
  rhythm: BackupRhythm,
  now: string,
): number | undefined {
  const most = BACKUP_RHYTHMS[rhythm]
  const [first] = since
  if (most === undefined || !first) return undefined
  const days = Math.floor((Date.parse(now) - Date.parse(first.at)) / DAY)
  return days >= most ? days : undefined
}
