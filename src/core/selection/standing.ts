import type { PassName, Review, Ruling, SelectionRule, WorkRuling } from '../review'

export type Verdict = Ruling['verdict']

/** What was said of one work, by pass and reader. */
export type OwnRulings = Readonly<Record<string, WorkRuling>>

/** By which rules rulings are read: of each pass, and how a main reason is taken where readers gave several. */
export interface RulingRules {
  broad: SelectionRule['rule']
  close: SelectionRule['rule']
  /** `first named` is what version 1 of the figures did: the reason of the reader whose id comes first. */
  reasons: 'agreed' | 'first named'
}

/** The rules that a review goes by; one that names none goes by any yes. */
export const rulesOf = ({
  selectionRules,
}: {
  selectionRules?: Review['selectionRules'] | undefined
}): RulingRules => ({
  broad: selectionRules?.broad ?? 'any yes goes on',
  close: selectionRules?.close ?? 'any yes goes on',
  reasons: 'agreed',
})

/** How a work stands in a pass, with the ruling that decides it where it is out. */
export interface Standing {
  verdict: Verdict | 'left' | 'to settle'
  /** The question or the words by which it went out; see `DIFFER`. */
  reason?: string
  /** Nobody read it: it went out with others by what a filter found. */
  unread: boolean
  /** Readers saw it differently and nobody has settled it yet. */
  conflict: boolean
  /** They all set it aside, for different reasons, and nobody has settled which counts. */
  reasonsDiffer: boolean
  /** It was seen differently, and somebody settled it. */
  settled: boolean
}

/** The reason of a work that all set aside and each for another reason. */
export const DIFFER = 'differ'

/** The reason of a ruling as it is counted: a question by its id, words as they are, or neither. */
export const reasonOf = (r: { criterionId?: string | undefined; reason?: string | undefined }): string =>
  r.criterionId ?? (r.reason?.trim() ? `words:${r.reason.trim()}` : 'none')

const PLAIN = { unread: false, conflict: false, reasonsDiffer: false, settled: false } as const
const LEFT: Standing = { verdict: 'left', ...PLAIN }

/**
 * How a work stands in a pass. What was settled counts. What all say alike counts; where they differ, the rule of the review
 * says what becomes of it: with *any yes goes on* it is in if anybody said in, else open; with *all agree* it is out if
 * anybody said out, else open; with *settle first* it is neither, and to settle.
 */
export function standingOf(
  own: OwnRulings | undefined,
  pass: PassName,
  settled:
    | { verdict: 'in' | 'out'; criterionId?: string | undefined; reason?: string | undefined }
    | undefined,
  rules: RulingRules,
): Standing {
  const said: WorkRuling[] = []
  for (const key in own) if (own[key]!.pass === pass) said.push(own[key]!)
  if (!said.length) return LEFT
  if (settled)
    return {
      ...PLAIN,
      settled: true,
      verdict: settled.verdict,
      ...(settled.verdict === 'out' ? { reason: reasonOf(settled) } : {}),
    }
  const some = (verdict: Verdict): boolean => said.some((r) => r.verdict === verdict)
  const conflict = said.some((r) => r.verdict !== said[0]!.verdict)
  if (!conflict)
    return said[0]!.verdict === 'out' ? outOf(said, pass, rules) : { ...PLAIN, verdict: said[0]!.verdict }
  switch (rules[pass]) {
    case 'settle first':
      return { ...PLAIN, verdict: 'to settle', conflict }
    case 'any yes goes on':
      return { ...PLAIN, verdict: some('in') ? 'in' : 'unsure', conflict }
    case 'all agree':
      return some('out')
        ? {
            ...outOf(
              said.filter((r) => r.verdict === 'out'),
              pass,
              rules,
            ),
            conflict,
          }
        : { ...PLAIN, verdict: 'unsure', conflict }
  }
}

/** Did two readers see a work differently in a pass, in what each said first or says now? */
export function seenDifferently(own: OwnRulings | undefined, pass: PassName): boolean {
  const said = Object.values(own ?? {})
    .filter((r) => r.pass === pass)
    .map((r) => [r.verdict, ...(r.first ? [r.first.verdict] : [])])
  return said.some((one, n) =>
    said.slice(n + 1).some((other) => [...one, ...other].some((v) => v !== one[0])),
  )
}

/** Out by all of these rulings. Of titles and abstracts no reason is owed, so none can differ. */
function outOf(said: readonly WorkRuling[], pass: PassName, { reasons }: RulingRules): Standing {
  // Their order must not matter.
  const sorted = [...said].sort((a, b) => (a.reader < b.reader ? -1 : 1))
  const given = [...new Set(sorted.map(reasonOf))].filter((r, _n, all) => r !== 'none' || all.length === 1)
  const differ = reasons === 'agreed' && given.length > 1
  return {
    ...PLAIN,
    verdict: 'out',
    reason: differ ? DIFFER : reasons === 'agreed' ? given[0]! : reasonOf(sorted[0]!),
    unread: said.every((r) => r.unread === true),
    reasonsDiffer: differ && pass === 'close',
  }
}
