import { numberIn } from './number'

/** Of how many works the full text was sought or is to be, and what became of that. */
export interface TextsSoughtRead {
  works: number
  notLooked: number
  notHad: number
  awaited: number
}

const WHOLE =
  /^(?:(?:We|I) sought the full text of|Full texts were sought of|The full texts? of|To be sought (?:is|are) the full texts? of) ([\d,]+) works?(?: (?:was|were) sought| (?:is|are) to be sought)?(?:; (.*))?\.$/

export function textsSought(sentence: string): TextsSoughtRead | undefined {
  const m = WHOLE.exec(sentence)
  const works = numberIn(m?.[1])
  if (!m || works === undefined) return undefined
  const planned = /to be sought/i.test(sentence)
  let [notLooked, notHad, awaited] = [0, 0, 0]
  for (const part of m[2]?.split(/, | and /) ?? []) {
    const n = numberIn(/^[\d,]+/.exec(part)?.[0]) ?? Number.NaN
    if (/^(?:it has not|none of them has) been looked for yet$/.test(part)) notLooked = works
    else if (/ (?:has|have) not been looked for yet$/.test(part)) notLooked = n
    else if (/ (?:was|were) not to be had$/.test(part)) notHad = n
    else if (/ (?:is|are) still awaited or unread$/.test(part)) awaited = n
    else return undefined
  }
  // What is only to be sought has not all been looked for.
  return planned === notLooked > 0 ? { works, notLooked, notHad, awaited } : undefined
}
