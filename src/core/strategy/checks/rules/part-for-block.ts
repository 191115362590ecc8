import { joined, type Expr } from '../../../query'
import { fixAt, plain, writtenParts } from '../change'
import type { Finding, Rule } from '../check'
import { gainOf, gainWords, measured } from '../gain'

/** A line of a concept joined where the block that was built of it stands unused beside it. */
export const partForBlock: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and' || !c.search.reached.has(joining.line)) return []
    const written = writtenParts(joining)
    return joining.parts.flatMap((part, i): Finding[] => {
      const number =
        c.search.roots.findIndex(
          (r, n) =>
            r?.kind === 'or' &&
            r.line === n + 1 &&
            !c.search.reached.has(n + 1) &&
            n + 1 < joining.line &&
            r.parts.includes(part) &&
            c.about.of(r) === c.about.of(part),
        ) + 1
      const block = c.search.roots[number - 1]
      if (!block || !written) return []
      const gain = part.docs && block.docs ? gainOf(c, new Map([[part, block.docs]]), joining) : undefined
      const by = written.map((e, k): Expr => (k === i ? { kind: 'line', number } : e))
      return [
        {
          code: 'part-for-block',
          kind: 'form',
          element: 'Spelling, syntax and line numbers',
          lineId: c.lines[joining.line - 1]!.id,
          about: plain(written[i]!),
          message: `Line ${joining.line} joins ${plain(written[i]!)}; the block #${number}, which was built of it, is used nowhere${gain && gain.hits > 0 ? ` and would bring ${gainWords(gain)}` : ''}.`,
          why: 'A number may be wrong: what was gathered in the block is not asked for.',
          ...measured(gain),
          fixes: fixAt(c, joining.line, joining.at, joined('and', by), `Join #${number} instead`),
          owns: [block],
        },
      ]
    })
  })
