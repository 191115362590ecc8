import { TIMES, timesIn, type Time } from './days'

/** In whose thesaurus headings were looked up, from when to when, and what was not found there. */
export interface HeadingsSeen {
  source: string
  time: Time
  missing: string[]
}

const ONE = new RegExp(
  `^In the thesaurus of (.+), headings were looked up ${TIMES}(?:; nothing was found there for (.+))?\\.$`,
)
const OTHER = new RegExp(
  `^Headings were looked up in the thesaurus of (.+?) ${TIMES}(?:; nothing was found there for (.+))?\\.$`,
)

export function headingsSeen(sentence: string): HeadingsSeen | undefined {
  const m = ONE.exec(sentence) ?? OTHER.exec(sentence)
  const times = timesIn(m?.[2] ?? '')
  if (!m || times?.length !== 1) return undefined
  return {
    source: m[1]!,
    time: times[0]!,
    missing: [...(m[3]?.matchAll(/“([^”]*)”/g) ?? [])].map((w) => w[1]!),
  }
}
