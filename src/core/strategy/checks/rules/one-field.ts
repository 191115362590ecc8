import { listed } from '../../../base'
import { inFields, mapChildren, textSpelledOut, walk, type Expr, type Field, print } from '../../../query'
import { unite } from '../../../engine'
import type { Part } from '../../tree'
import { plain } from '../change'
import type { Finding, Fix, Judging, Rule } from '../check'
import { gainOf, gainWords, worth } from '../gain'
import { headingCalled } from './headings'

const isWords = (e: Expr): boolean => e.kind === 'word' || e.kind === 'phrase' || e.kind === 'near'

/** Words of a concept that are looked for in one field only, where title, abstract and keywords would bring more. */
export const oneField: Rule = (c) =>
  c.lines.flatMap((line): Finding[] => {
    const groups = new Map<string, Part[]>()
    for (const part of c.search.all())
      if (part.kind === 'leaf' && part.line === line.number && part.fields && isWords(part.at))
        // A word that is no concept’s own may be too broad for the whole text; words that are a heading are told as that.
        if (
          isNarrow(part.fields) &&
          c.about.ofExpression(part.at) &&
          !(part.fields.includes('subject') && headingCalled(c, part.at))
        )
          groups.set(part.fields.join(), [...(groups.get(part.fields.join()) ?? []), part])
    return [...groups].flatMap(([key, parts]): Finding[] => {
      const fields = parts[0]!.fields!
      const everywhere = new Map(
        parts.flatMap((p) => (p.docs ? [[p, unite(p.docs, c.find(inFields(['text'], p.at)))] as const] : [])),
      )
      const gain = everywhere.size ? gainOf(c, everywhere, c.search.blockOf(parts[0]!)) : undefined
      if (!worth(c, parts[0]!, gain)) return []
      const names = listed(parts.map((p) => plain(p.at)))
      return [
        {
          code: 'one-field',
          kind: 'gain',
          element: 'Text words',
          lineId: line.id,
          about: key,
          message: `${names} in line ${line.number} ${parts.length === 1 ? 'is' : 'are'} looked for as ${listed([...fields])} only; title, abstract and keywords bring ${gainWords(gain!)}.`,
          why: 'Authors name a thing in the abstract more often than in the title.',
          gain: { hits: gain!.hits, wanted: gain!.wanted },
          fixes: fixesOf(c, line.number, fields),
          owns: parts,
        },
      ]
    })
  })

/** Fields of words among which title and abstract are not both. */
const isNarrow = (fields: readonly Field[]): boolean => {
  const all = textSpelledOut(fields)
  return (
    !all.includes('any') && !all.includes('fulltext') && !(all.includes('title') && all.includes('abstract'))
  )
}

function fixesOf(c: Judging, number: number, fields: readonly Field[]): Fix[] {
  const line = c.lines[number - 1]!
  if (!line.tree) return []
  const label = 'Look in title, abstract and keywords'
  // A field that was put before the first of several words was meant for all of them, as a rule.
  const bare = (e: Expr): Expr => (e.kind === 'fields' ? e.of : mapChildren(e, bare))
  const stripped = bare(line.tree)
  const all = [...walk(stripped)].every((e) => isWords(e) || e.kind === 'or' || e.kind === 'and')
  const some = [...walk(line.tree)].filter((e) => e.kind === 'fields')
  if (all && some.length === 1) return [{ label, lineId: line.id, text: print(inFields(['text'], stripped)) }]
  const change = (e: Expr): Expr =>
    e.kind === 'fields' && e.fields.join() === fields.join()
      ? { ...e, fields: ['text'] }
      : mapChildren(e, change)
  return [{ label, lineId: line.id, text: print(change(line.tree)) }]
}
