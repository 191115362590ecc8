import { foldLabel, problem, type Problem } from '../base'
import type { Heading, Vocabulary } from './heading'

/**
 * Reads a vocabulary written as an indented outline, two spaces a level:
 *
 *     Room acoustics [B4] since 1984
 *       = entry term; another
 *       ~ related heading; another
 *       : scope note
 *       Narrower heading
 *
 * A heading that stands in two places is one heading with two parents; `^ Parent; Parent` names further parents.
 */
export function readOutline(
  text: string,
  about: { id: string; title: string; version: string },
): { vocabulary: Vocabulary; problems: Problem[] } {
  const problems: Problem[] = []
  const headings = new Map<string, Heading>()
  const links: { from: Heading; kind: 'related' | 'broader'; to: string; line: number }[] = []
  const stack: Heading[] = []
  text.split('\n').forEach((row, number) => {
    const body = row.trim()
    if (!body) return
    const level = Math.floor((row.length - row.trimStart().length) / 2)
    const sign = /^([=~:^])\s+(.*)$/.exec(body)
    if (sign) {
      const owner = stack[level - 1]
      if (!owner) {
        problems.push(
          problem('outline', 'error', `Line ${number + 1} stands under no heading.`, String(number + 1)),
        )
        return
      }
      const items = sign[2]!.split(/\s*;\s*/).filter(Boolean)
      if (sign[1] === '=') owner.entryTerms.push(...items)
      else if (sign[1] === ':') owner.scopeNote = sign[2]!
      else
        for (const to of items)
          links.push({ from: owner, kind: sign[1] === '~' ? 'related' : 'broader', to, line: number + 1 })
      return
    }
    const parts = /^(.*?)(?:\s+\[([^\]]+)\])?(?:\s+since\s+(\d{4}))?$/.exec(body)!
    const label = parts[1]!
    const key = foldLabel(label)
    let heading = headings.get(key)
    if (!heading) {
      const id = `${about.id}/${key.replace(/ /g, '-')}`
      heading = { id, label, entryTerms: [], broader: [], narrower: [], related: [] }
      headings.set(key, heading)
    }
    if (parts[2]) heading.code = parts[2]
    if (parts[3]) heading.since = Number(parts[3])
    const parent = stack[level - 1]
    if (parent) connect(heading, parent)
    stack.length = level
    stack.push(heading)
  })
  for (const { from, kind, to, line } of links) {
    const other = headings.get(foldLabel(to))
    if (!other)
      problems.push(problem('outline', 'error', `Line ${line}: there is no heading "${to}".`, String(line)))
    else if (kind === 'broader') connect(from, other)
    else {
      if (!from.related.includes(other.id)) from.related.push(other.id)
      if (!other.related.includes(from.id)) other.related.push(from.id)
    }
  }
  return { vocabulary: { ...about, headings: [...headings.values()] }, problems }
}

function connect(below: Heading, above: Heading): void {
  if (below.broader.includes(above.id)) return
  below.broader.push(above.id)
  above.narrower.push(below.id)
}
