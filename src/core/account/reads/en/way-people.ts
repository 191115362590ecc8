import { TIMES, timesIn, type Time } from './days'
import { numberIn } from './number'

/** What a sentence says of people who were asked. */
export interface PeopleAsked {
  times: Time[]
  /** Absent: all of those who answered were asked, and nobody else. */
  asked?: number
  answered: string[]
  silent: number
}

const PEOPLE = '(?:(\\w+|[\\d,]+) (?:person|people)|the person)'

/** "A. Quill (personal communication, 1 May 2026) and B. Rook (personal communication)". */
const names = (list: string): string[] =>
  [...list.matchAll(/(.*?) \(personal communication(?:, \d+ \w+ \d{4})?\)(?:, | and |$)/g)].map((m) => m[1]!)

export function wayPeople(sentence: string): PeopleAsked | undefined {
  const nobody =
    new RegExp(
      `^(?:None of|No answer has come from) ${PEOPLE} asked ${TIMES}(?: has answered yet)?\\.$`,
    ).exec(sentence) ?? new RegExp(`^The (person) asked ${TIMES} has not answered yet\\.$`).exec(sentence)
  if (nobody) {
    const times = timesIn(nobody[2]!)
    const asked = numberIn(nobody[1]) ?? 1
    return times && { times, asked, answered: [], silent: asked }
  }
  const some = new RegExp(
    `^(?:Of|From) ${PEOPLE} asked ${TIMES}, (?:an answer came from )?(.*?)(?: answered)?; (\\w+|[\\d,]+) of them (?:has|have) not answered yet\\.$`,
  ).exec(sentence)
  if (some) {
    const times = timesIn(some[2]!)
    return (
      times && {
        times,
        asked: numberIn(some[1]) ?? 1,
        answered: names(some[3]!),
        silent: numberIn(some[4]) ?? Number.NaN,
      }
    )
  }
  const all =
    new RegExp(`^(?:An answer|Answers) to what was asked ${TIMES} came from (.*)\\.$`).exec(sentence) ??
    new RegExp(`^Asked ${TIMES}, (.*) answered\\.$`).exec(sentence) ??
    new RegExp(`^All (?:\\w+|[\\d,]+) (?:person|people) asked ${TIMES} answered: (.*)\\.$`).exec(sentence)
  const times = all && timesIn(all[1]!)
  const answered = all ? names(all[2]!) : []
  return times && answered.length ? { times, answered, silent: 0 } : undefined
}
