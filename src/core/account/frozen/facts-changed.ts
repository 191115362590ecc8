import { kindNamed, type Entry } from '../../review'
import { inlinesOf, type Passage } from '../document'
import { resolveFact, type FactContext } from '../facts'

/** A fact of the section that reads otherwise than when a person last read it. */
export interface FactChange {
  ref: string
  from: string
  to: string
  /** The last deed since that can have changed it. */
  because?: { seq: number; at: string; words: string }
}

/** The facts that stand in a section, each once, with how they read now. */
export function factsIn(context: FactContext, passages: readonly Passage[]): Record<string, string> {
  const found: Record<string, string> = {}
  for (const p of passages)
    for (const block of p.content)
      for (const node of inlinesOf(block))
        if (node.type === 'fact') found[node.attrs.ref] ??= resolveFact(context, node.attrs.ref).text
  return found
}

/** What changed since the section was last read; empty where nobody has said that they read it. */
export function factsChanged(context: FactContext, passages: readonly Passage[]): FactChange[] {
  const read = context.review.textRead
  if (!read) return []
  const now = factsIn(context, passages)
  return Object.entries(now).flatMap(([ref, to]): FactChange[] => {
    const from = read.facts[ref]
    if (from === undefined || from === to) return []
    const because = deedBehind(context, ref, read.seq)
    return [{ ref, from, to, ...(because ? { because } : {}) }]
  })
}

/** The last deed behind an entry that was done where a fact comes from: to the very thing, or else on its stage. */
function deedBehind(context: FactContext, ref: string, seq: number): FactChange['because'] {
  const { stage, anchor } = resolveFact(context, ref)
  let near: Entry | undefined
  for (const entry of (context.entries ?? []).toReversed()) {
    if (entry.seq <= seq) break
    const kind = kindNamed(entry.kind)
    const parsed = kind?.schema.safeParse(entry.payload)
    const place = parsed?.success ? kind?.place(parsed.data) : undefined
    if (anchor !== undefined && place?.anchor === anchor) return told(entry)
    if (place?.stage === stage) near ??= entry
  }
  return near && told(near)
}

const told = (entry: Entry): FactChange['because'] => ({
  seq: entry.seq,
  at: entry.at,
  words: kindNamed(entry.kind)?.words.journal ?? entry.kind,
})
