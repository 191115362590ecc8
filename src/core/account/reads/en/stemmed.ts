/** Which databases a sentence says look for every form of a word, and which for singular and plural. */
export interface Stemmed {
  stems?: string
  plurals?: string
}

const BOTH = [
  /^(?:(.+?) looks? for all forms of a word)(?:, (.+) for singular and plural alike)?\.$/,
  /^All forms of a word are looked for in (.+?)(?:, singular and plural alike in (.+))?\.$/,
]
const PLURALS =
  /^(?:(.+) looks? for singular and plural of a word alike|Singular and plural of a word are looked for alike in (.+))\.$/

export function stemmed(sentence: string): Stemmed | undefined {
  const one = PLURALS.exec(sentence)
  if (one) return { plurals: (one[1] ?? one[2])! }
  const m = BOTH.map((p) => p.exec(sentence)).find(Boolean)
  return m ? { stems: m[1]!, ...(m[2] === undefined ? {} : { plurals: m[2] }) } : undefined
}
