export * from './values'
export { sourceName } from './source-name'
export { deedsOf, mattersOf, withNeeds, type Matter } from './matters'
export * from './commands'
export * from './journal'
export { deedsAt, type DeedsAt } from './deeds-at'
export { KINDS, kindNamed, reachesBytes, said, type Kind, type Words } from './kinds'
export * from './works'
export { plainReview, reviewFromPlain, wrongInPlain, type PlainReview } from './plain-review'
export { whatComes, type SideTaken, type WhatComes } from './side-taken'
export {
  finishedReviews,
  openComments,
  REVIEWED,
  searchReviews,
  openPoints,
  pointName,
  pointsOf,
  settlingOf,
  unansweredOf,
  type Reviewed,
  type AnswerGiven,
  type CommentSettled,
  type SearchAnswer,
  type SearchComment,
  type SearchPoint,
  type SearchReview,
  type SearchReviewed,
} from './search-review-values'
export { missingBytes, missingInWords, type MissingBytes } from './missing-bytes'
export { isStanding, recordNames, recordPlace, standingImports } from './imports'
export { currentRuns } from './current-runs'
export { askedNow, leadsOut, questionsOf, wordingOf } from './asked'
export { saysTheSame } from './same-ruling'
export { namesInTexts, type NamedText } from './names-in-texts'
export { nameOf, nameOfPerson, personNamed } from './people'
export { personId, whoIsHere, type Known } from './same-person'
export { BACKUP_RHYTHMS, backupDue, type BackupRhythm, type LastBackup } from './backup'
export * from './package'
export { calendarOf, nextReminder, reminderCalendar, type CalendarDay, type ReminderEvent } from './reminder'
export { FRAMEWORKS, frameworkOf, rolesLeft, type Framework } from './frameworks'
export { lineVersions, runBefore, strategyVersions, type LineVersion, type StrategyVersion } from './versions'
export { lastDeed, placeOf, type LastDeed } from './last-deed'
export type { Place, StageName } from './place'
export { heldBy, takeOver } from './unfinished'
