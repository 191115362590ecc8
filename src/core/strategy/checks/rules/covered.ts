import { foldLabel, listed } from '../../../base'
import { isMasked, maskStem, maskTest, textSpelledOut, type Expr, type Field } from '../../../query'
import { choicesOf, partsWithin, type Part } from '../../tree'
import { fixAt, leftOut, plain, writtenParts } from '../change'
import type { Finding, Fix, Judging, Rule } from '../check'

/** What is said twice, or within something else that is asked for, among parts that are joined with OR. */
export const covered: Rule = (c) => {
  const found = [...c.search.all()].flatMap((top) =>
    top.kind === 'or' && !c.search.madeOf(top).some((up) => up.kind === 'or') ? coveredIn(c, top) : [],
  )
  return c.lines.flatMap((line): Finding[] => {
    const own = found.filter(({ part }) => part.line === line.number)
    const [first] = own
    if (!first) return []
    const twice = own.every(({ part, by }) => plain(part.at) === plain(by.at))
    const names = [...new Set(own.map(({ part }) => plain(part.at)))]
    const whole = own.length === choicesOf(c.search.roots[line.number - 1]!).length
    const wholeOf = whole && own.every(({ by }) => by.line !== line.number) && first.by.line
    return [
      {
        code: twice ? 'twice' : 'covered',
        kind: 'tidying',
        element: first.part.at.kind === 'heading' ? 'Subject headings' : 'Text words',
        lineId: line.id,
        about: names.join(),
        message: `${messageFor(line.number, own, twice, wholeOf)}.`,
        why: 'It does no harm; but a stranger will ask why it is there.',
        fixes: fixesOf(c, own),
      },
    ]
  })
}

function messageFor(line: number, own: readonly Covered[], twice: boolean, whole: number | false): string {
  const names = [...new Set(own.map(({ part }) => plain(part.at)))]
  const one = names.length === 1
  const said = listed(names)
  if (whole)
    return `Line ${line} brings nothing that line ${whole} has not: ${said} ${one ? 'stands' : 'stand'} there too`
  if (twice) {
    const other = own.find(({ by }) => by.line !== line)?.by.line
    return `${said} ${one ? 'stands' : 'stand'} ${other ? `in line ${other} and again in line ${line}` : `twice in line ${line}`}`
  }
  const by = listed([...new Set(own.map((o) => plain(o.by.at)))])
  return `${said} in line ${line} ${one ? 'is' : 'are'} within ${by}, and ${one ? 'brings' : 'bring'} nothing more`
}

interface Covered {
  part: Part
  by: Part
  /** What joins the part with others. */
  joining: Part
}

function coveredIn(c: Judging, top: Part): Covered[] {
  const choices = choicesOf(top).filter((p) => p.kind === 'leaf')
  const gone = new Set<Part>()
  return choices.flatMap((part): Covered[] => {
    const by = choices.find(
      (other) => other !== part && !gone.has(other) && covers(c, other, part) && later(choices, part, other),
    )
    const joining = by && [...partsWithin(top)].find((p) => p.kind === 'or' && p.parts.includes(part))
    if (!by || !joining) return []
    gone.add(part)
    return [{ part, by, joining }]
  })
}

/** Of two that say the same the second one goes. */
const later = (all: readonly Part[], part: Part, by: Part): boolean =>
  plain(part.at) !== plain(by.at) || all.indexOf(part) > all.indexOf(by)

/** Does one find, by what it says, all that the other finds? What was found must bear it out. */
function covers(c: Judging, a: Part, b: Part): boolean {
  if (a.whole || b.whole || !coversIn(a.fields, b.fields) || !coversExpr(c, a.at, b.at)) return false
  if (!a.docs || !b.docs) return true
  const all = new Set(a.docs)
  return b.docs.length > 0 && b.docs.every((d) => all.has(d))
}

function coversIn(wide: readonly Field[] | undefined, narrow: readonly Field[] | undefined): boolean {
  if (!wide || !narrow) return wide === narrow
  const all = new Set(textSpelledOut(wide))
  return textSpelledOut(narrow).every((f) => all.has(f))
}

const coversWord = (a: string, b: string): boolean => {
  const [x, y] = [a.toLowerCase(), b.toLowerCase()]
  if (x === y) return true
  if (!isMasked(x)) return false
  // A truncated word covers another where it is cut earlier.
  return isMasked(y) ? x === `${maskStem(x)}*` && maskStem(y).startsWith(maskStem(x)) : maskTest(x)(y)
}

function coversExpr(c: Judging, a: Expr, b: Expr): boolean {
  if (a.kind === 'heading' && b.kind === 'heading') {
    if (a.main && !b.main) return false
    const labels = c.thesaurus?.foldedLabels(a.label, a.below) ?? [foldLabel(a.label)]
    const own = c.thesaurus?.foldedLabels(b.label, b.below) ?? [foldLabel(b.label)]
    return own.every((l) => labels.includes(l))
  }
  const words = (e: Expr): string[] | undefined =>
    e.kind === 'word' ? [e.text] : e.kind === 'phrase' ? e.words : undefined
  const [x, y] = [words(a), words(b)]
  if (!x || !y) return false
  return y.some((_, i) => i + x.length <= y.length && x.every((w, k) => coversWord(w, y[i + k]!)))
}

/** The lines without what is covered; a line of which nothing would be left goes where it is joined. */
function fixesOf(c: Judging, found: readonly Covered[]): Fix[] {
  const [{ joining }] = found as [Covered]
  if (found.some((f) => f.joining !== joining)) return []
  const gone = found.map((f) => f.part)
  const left = leftOut(joining, gone)
  if (left) return fixAt(c, joining.line, joining.at, left, 'Leave out what is said already')
  const up = c.search.madeOf(joining).find((p) => p.kind === 'or' && writtenParts(p))
  const rest = up && leftOut(up, [joining])
  return up && rest ? fixAt(c, up.line, up.at, rest, `Leave ${plain(joining.at)} out`) : []
}
