import type { NotSent } from './not-sent'

const SAID =
  /^(?:In (.+?), what stands behind NOT was sent only in part in lines? ([\d, and]+); the rest was not left out there|Sent only in part, and only so far left out, was what stands behind NOT in lines? ([\d, and]+) of (.+))\.$/

/** In which lines of a database a sentence says that only a part of NOT was sent. */
export function notPartly(sentence: string): NotSent | undefined {
  const m = SAID.exec(sentence)
  return m
    ? { source: (m[1] ?? m[4])!, lines: [...(m[2] ?? m[3])!.matchAll(/\d+/g)].map(([n]) => Number(n)) }
    : undefined
}
