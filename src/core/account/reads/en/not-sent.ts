/** In which lines of a database a sentence says that NOT was not sent. */
export interface NotSent {
  source: string
  lines: number[]
}

const SAID =
  /^(?:In (.+?), NOT was not sent in|Nothing was left out in (.+?) in) lines? ([\d, and]+)(?:; nothing was left out there|, where NOT was not sent)\.$/

export function notSent(sentence: string): NotSent | undefined {
  const m = SAID.exec(sentence)
  return m
    ? { source: (m[1] ?? m[2])!, lines: [...m[3]!.matchAll(/\d+/g)].map(([n]) => Number(n)) }
    : undefined
}
