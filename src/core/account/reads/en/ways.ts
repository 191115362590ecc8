import { numberIn, partsOf } from './number'

/** A way that was gone, with what was done; in the passive voice only whether people were asked is told. */
export interface WayGone {
  name: string
  did: 'asked' | 'sought' | 'read' | 'followed' | 'searched' | 'went through'
  reason?: string
}

const DID = '(asked|read|followed|searched|went through)'
const WHY = '(?:, because (.+?))?'

export function wayGone(sentence: string): WayGone | undefined {
  // Databases, times of searching, works that were read, and what was not done are told in sentences of their own.
  if (
    /\(Table 1\)|^(?:We|I) (?:(?:searched|read) no |asked nobody |searched .* again,? |read titles and abstracts )/.test(
      sentence,
    )
  )
    return undefined
  const active = new RegExp(
    `^(?:We|I|We also|I also|Beyond databases we|Beyond databases I|Further we|Further I|In addition, we|In addition, I) ${DID} (.+?)${WHY}\\.$`,
  ).exec(sentence)
  if (active) {
    if (new RegExp(`(?:, | and )${DID} `).test(active[2]!)) return undefined
    return made(active[2]!, active[1] as WayGone['did'], active[3])
  }
  const asked = new RegExp(
    `^(?:Beyond databases, q|Further, q|In addition, q|Q)uestions went to (.+?)${WHY}\\.$`,
  ).exec(sentence)
  if (asked) return made(asked[1]!, 'asked', asked[2])
  const sought = new RegExp(
    `^(?:Beyond databases, w|Further, w|In addition, w|W)orks were (?:also )?sought through (.+?)${WHY}\\.$`,
  ).exec(sentence)
  return sought && !sought[1]!.endsWith(' as well') ? made(sought[1]!, 'sought', sought[2]) : undefined
}

const made = (name: string, did: WayGone['did'], reason: string | undefined): WayGone => ({
  name,
  did,
  ...(reason === undefined ? {} : { reason }),
})

/** Several ways, each with what was done; in the passive voice only their names, as they are listed. */
export type WaysAtOnce = { ways: WayGone[] } | { listed: string }

export function waysAtOnce(sentence: string): WaysAtOnce | undefined {
  const passive =
    /^(?:Works were sought through (.+) as well|Beyond that, works were sought through (.+))\.$/.exec(
      sentence,
    )
  if (passive) return { listed: (passive[1] ?? passive[2])! }
  const m = new RegExp(`^(?:We also|I also|Beyond that we|Beyond that I) (${DID} .+)\\.$`).exec(sentence)
  const parts = m?.[1]!
    .split(new RegExp(`(?:, | and )(?=${DID} )`))
    .filter((p) => new RegExp(`^${DID} `).test(p))
  if (!parts || parts.length < 2) return undefined
  return {
    ways: parts.map((p) => {
      const one = new RegExp(`^${DID} (.+)$`).exec(p)!
      return { did: one[1] as WayGone['did'], name: one[2]! }
    }),
  }
}

export function wayPlanned(sentence: string): { name: string; reason?: string } | undefined {
  const m =
    new RegExp(`^(?:We|I) plan to (?:ask|read|follow|search|go through) (.+?) as well${WHY}\\.$`).exec(
      sentence,
    ) ??
    new RegExp(`^Beyond that (?:we|I) plan to (?:ask|read|follow|search|go through) (.+?)${WHY}\\.$`).exec(
      sentence,
    ) ??
    new RegExp(
      `^(?:Beyond that, it is planned|As yet only planned:) that (.+?) be (?:asked|read|followed|searched|gone through)${WHY}\\.$`,
    ).exec(sentence)
  return m && !m[1]!.includes('databases') && !m[0].includes('which has not been done yet')
    ? { name: m[1]!, ...(m[2] === undefined ? {} : { reason: m[2] }) }
    : undefined
}

const NOTED: Readonly<Record<string, string>> = {
  'who publishes': 'publisher',
  'how it is dated': 'dated',
  'what it rests on': 'evidence',
  'what it is for': 'purpose',
}

export function pagesNoted(sentence: string): { count: number; of: string[] } | undefined {
  const m =
    /^([\w,]+) pages? there (?:was|were) noted(?:, with (.+))?\.$/.exec(sentence) ??
    /^Noted (?:was|were) ([\w,]+) pages? there(?:, with (.+))?\.$/.exec(sentence)
  const count = numberIn(m?.[1])
  if (!m || !count) return undefined
  const of = m[2] === undefined ? [] : partsOf(m[2]).map((words) => NOTED[words] ?? '?')
  return of.includes('?') ? undefined : { count, of }
}
