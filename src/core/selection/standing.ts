import type { PassName, Ruling, WorkRuling } from '../review'

export type Verdict = Ruling['verdict']

/** What was said of one work, by pass and reader. */
export type OwnRulings = Readonly<Record<string, WorkRuling>>

/** How a work stands in a pass, with the ruling that decides it where it is out. */
export interface Standing {
  verdict: Verdict | 'left'
  /** The question or the words by which it went out. */
  reason?: string
  /** Nobody read it: it went out with others by what a filter found. */
  unread: boolean
  /** Readers saw it differently and nobody has settled it yet. */
  conflict: boolean
}

/** The reason of a ruling as it is counted: a question by its id, words as they are, or neither. */
export const reasonOf = (r: { criterionId?: string | undefined; reason?: string | undefined }): string =>
  r.criterionId ?? (r.reason?.trim() ? `words:${r.reason.trim()}` : 'none')

const LEFT: Standing = { verdict: 'left', unread: false, conflict: false }

/**
 * How a work stands in a pass. What was settled counts; else it is in if any reader said in, out if all who ruled said
 * out, else unsure: what is not agreed is not set aside.
 */
export function standingOf(
  own: OwnRulings | undefined,
  pass: PassName,
  settled?: { verdict: 'in' | 'out'; criterionId?: string | undefined; reason?: string | undefined },
): Standing {
  const said: WorkRuling[] = []
  for (const key in own) if (own[key]!.pass === pass) said.push(own[key]!)
  if (!said.length) return LEFT
  const differ = said.some((r) => r.verdict !== said[0]!.verdict)
  if (settled)
    return {
      verdict: settled.verdict,
      ...(settled.verdict === 'out' ? { reason: reasonOf(settled) } : {}),
      unread: false,
      conflict: false,
    }
  if (said.some((r) => r.verdict === 'in')) return { verdict: 'in', unread: false, conflict: differ }
  if (differ || said[0]!.verdict === 'unsure') return { verdict: 'unsure', unread: false, conflict: differ }
  // Where readers give different reasons, that of the first of them by name counts, so that no order matters.
  const first = [...said].sort((a, b) => (a.reader < b.reader ? -1 : 1))[0]!
  return {
    verdict: 'out',
    reason: reasonOf(first),
    unread: said.every((r) => r.unread === true),
    conflict: false,
  }
}
