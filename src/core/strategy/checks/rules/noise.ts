import { wilson } from '../../../base'
import { subtract } from '../../../engine'
import { fixAt, leftOut, plain } from '../change'
import type { SearchTree } from '../../tree'
import type { Finding, Judging, Rule } from '../check'

/** Fewer rulings than this say nothing of a word. */
const LEAST_RULED = 10
/** What a word alone brings is noise where at most this part of what the whole search keeps is kept of it (upper end, Wilson). */
const OF_THE_USUAL = 0.5
/** What a word alone brings is worth a word where it is this part of what the line that counts finds. */
const WORTH = 0.03

/** A word or heading that alone brings many records, nearly all of which were ruled out. */
export const noiseTerm: Rule = (c) => noiseIn(c, c.search, { in: c.wanted, out: c.unwanted }, 'records')

/** The same of any search whose records are known, by what was ruled of them; `what` is what they are called in the message. */
export const noiseIn = (
  c: Judging,
  search: SearchTree,
  ruled: { in: ReadonlySet<number>; out: ReadonlySet<number> },
  what: string,
): Finding[] => {
  const [inAll, outAll] = [ruled.in, ruled.out].map(
    (set) => search.root?.docs?.filter((d) => set.has(d)).length ?? 0,
  )
  // Most of what any search finds is ruled out: a word is only noise beside the others.
  const usual = inAll! / (inAll! + outAll! || 1)
  return [...search.all()].flatMap((part): Finding[] => {
    const [joining] = search.madeOf(part)
    const { root } = search
    if (part.kind !== 'leaf' || joining?.kind !== 'or' || !root?.docs || !search.reached.has(part.line))
      return []
    const without = search.atRoot(new Map([[joining, search.without(joining, [part])]]))
    const alone = without ? subtract(root.docs, without) : undefined
    if (!alone || alone.length < Math.max(LEAST_RULED, WORTH * root.docs.length)) return []
    const out = alone.filter((d) => ruled.out.has(d)).length
    const kept = alone.filter((d) => ruled.in.has(d)).length
    if (out + kept < LEAST_RULED || wilson(kept, out + kept).to > OF_THE_USUAL * usual) return []
    const left = leftOut(joining, [part])
    const name = plain(part.at)
    return [
      {
        code: 'noise-term',
        kind: 'gain',
        element: part.at.kind === 'heading' ? 'Subject headings' : 'Text words',
        lineId: c.lines[part.line - 1]!.id,
        about: name,
        message: `${name} in line ${part.line} alone brings ${alone.length} ${what}; of ${out + kept} that were ruled, ${out} were ruled out.`,
        why: 'It may be asked for in the title only, near another word, or left out; what it brought in is read either way.',
        gain: { hits: -alone.length, wanted: -kept },
        fixes: left ? fixAt(c, joining.line, joining.at, left, `Leave ${name} out`) : [],
      },
    ]
  })
}
