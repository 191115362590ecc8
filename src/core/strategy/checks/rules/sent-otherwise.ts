import { listed, plural } from '../../../base'
import type { Loss } from '../../../profile'
import { or, walk } from '../../../query'
import { saidBy, type Part } from '../../tree'
import { fixAt, plain, readPlain } from '../change'
import type { Element, Finding, Fix, Judging, Rule } from '../check'
import { formsOf } from '../forms'

/** What a source cannot say, by the name under which it is remarked on. */
const TOLD: Partial<Record<Loss['cause']['code'], { code: string; element: Element }>> = {
  'no-nearness': { code: 'no-nearness', element: 'Boolean and proximity operators' },
  'near-too-far': { code: 'near-too-far', element: 'Boolean and proximity operators' },
  'no-vocabulary': { code: 'no-vocabulary', element: 'Subject headings' },
  'no-narrower': { code: 'no-narrower', element: 'Subject headings' },
  'no-main-focus': { code: 'no-main-focus', element: 'Subject headings' },
  'phrase-truncated': { code: 'stem-in-quotes', element: 'Text words' },
  'mask-no-sign': { code: 'no-truncation', element: 'Text words' },
  'mask-left': { code: 'no-truncation', element: 'Text words' },
  'mask-short': { code: 'stem-below-least', element: 'Text words' },
  'field-missing': { code: 'field-missing', element: 'Spelling, syntax and line numbers' },
  'field-wider': { code: 'field-missing', element: 'Spelling, syntax and line numbers' },
}

/** Parts that a source cannot say as they were meant, one remark for each thing that it cannot in each line. */
export const sentOtherwise: Rule = (c) => {
  const found = new Map<string, { part: Part; index: number; parts: Part[] }>()
  for (const part of c.search.all())
    // One that finds nothing is told by that; there the cause stands beside it. A heading is told here in any case.
    if (part.kind === 'leaf' && (part.docs?.length !== 0 || part.at.kind === 'heading'))
      part.losses.forEach((loss, index) => {
        const told = TOLD[loss.cause.code]
        if (!told) return
        const key = `${part.line} ${told.code}`
        const known = found.get(key)
        if (!known) found.set(key, { part, index, parts: [part] })
        else if (!known.parts.includes(part)) known.parts.push(part)
      })
  return [...found.values()].map(({ part, index, parts }): Finding => {
    const loss = part.losses[index]!
    const { code, element } = TOLD[loss.cause.code]!
    const { why, advice } = loss
    const n = parts.length - 1
    const what =
      code === 'field-missing'
        ? `Line ${part.line} asks for what cannot be asked there: ${why}`
        : `${plain(saidBy(part))} in line ${part.line} is sent as ${loss.is}${n ? `, and ${plural(n, 'more part')} likewise` : ''}: ${why}`
    return {
      code,
      kind: 'form',
      element,
      lineId: c.lines[part.line - 1]!.id,
      // Of a field that is not there, the field; what is looked for in it may be another in each line.
      about:
        code === 'field-missing' ? (part.fields?.join() ?? '') : listed(parts.map((p) => plain(saidBy(p)))),
      message: `${what}.`,
      why: advice,
      fixes: parts.length === 1 ? fixesOf(c, part, code, loss.is) : [],
      owns: ['no-nearness', 'no-vocabulary'].includes(code) ? parts : [],
    }
  })
}

/** The line as it is sent; what is said in a field that is not there is said without it. */
function fixesOf(c: Judging, part: Part, code: string, sent: string): Fix[] {
  const forms = formsOf(c, part.at, (e) => c.find(saidBy({ at: e, fields: part.fields })).length > 0)
  if (forms.length) return fixAt(c, part.line, part.at, or(...forms), 'Write out the forms')
  const is = readPlain(sent)
  if (!is) return []
  const label = `Write ${plain(is)}`
  const { tree } = c.lines[part.line - 1]!
  if (code !== 'field-missing' || !part.fields) return fixAt(c, part.line, part.at, is, label)
  const around = tree && [...walk(tree)].find((e) => e.kind === 'fields' && e.of === part.at)
  return around ? fixAt(c, part.line, around, is, label) : []
}
