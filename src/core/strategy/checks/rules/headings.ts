import { foldLabel, listed, plural } from '../../../base'
import { mapChildren, type Expr, type HeadingRef, print } from '../../../query'
import type { Heading } from '../../../vocabulary'
import type { Part } from '../../tree'
import { fixAt, plain, withMore } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOf, gainOfMore, gainWords, newTo, worth } from '../gain'
import { nearestOf } from '../nearest'

const ELEMENT = 'Subject headings'

function headingsOf(c: Judging): { part: Part; at: HeadingRef }[] {
  return [...c.search.all()].flatMap((part) =>
    part.kind === 'leaf' && part.at.kind === 'heading' ? [{ part, at: part.at }] : [],
  )
}

/** A heading that is only an entry term, or that the vocabulary does not have. */
export const headingUnknown: Rule = (c) =>
  headingsOf(c).flatMap(({ part, at }): Finding[] => {
    if (!c.thesaurus || c.thesaurus.byLabel(at.label)) return []
    const [use] = c.thesaurus.byEntryTerm(at.label)
    const like = use ?? meant(c, at.label)
    return [
      {
        code: use ? 'entry-term' : 'heading-unknown',
        kind: 'form',
        element: ELEMENT,
        lineId: c.lines[part.line - 1]!.id,
        about: at.label,
        message: use
          ? `“${at.label}” in line ${part.line} is an entry term; the heading is “${use.label}”.`
          : `There is no heading “${at.label}” in this vocabulary (line ${part.line})${like ? `; “${like.label}” may be meant` : ''}.`,
        why: 'Records are indexed with headings only; anything else finds nothing.',
        fixes: like ? fixAt(c, part.line, at, { ...at, label: like.label }, `Use “${like.label}”`) : [],
        owns: [part],
      },
    ]
  })

/** The heading whose name is nearest in letters, else the first that a look-up finds. */
function meant(c: Judging, label: string): Heading | undefined {
  const names = c.thesaurus!.vocabulary.headings.map((h) => ({ text: foldLabel(h.label), records: 1 }))
  const near = nearestOf(foldLabel(label), names)
  return (near && c.thesaurus!.byLabel(near)) || c.thesaurus!.lookUp(label, 1)[0]?.heading
}

/** A heading taken alone although it has narrower ones that would bring records to its block. */
export const narrowerForgotten: Rule = (c) =>
  headingsOf(c).flatMap(({ part, at }): Finding[] => {
    const heading = c.thesaurus?.byLabel(at.label)
    if (!heading?.narrower.length || at.below) return []
    const below: HeadingRef = { ...at, below: true }
    const adds = c.searched ? newTo(c.search.blockOf(part), c.find(below)) : 0
    if (c.searched && !adds) return []
    return [
      {
        code: 'narrower-forgotten',
        kind: c.searched ? 'gain' : 'form',
        element: ELEMENT,
        lineId: c.lines[part.line - 1]!.id,
        about: at.label,
        message: `“${heading.label}” in line ${part.line} is taken alone; ${c.searched ? `its narrower headings would add ${plural(adds, 'record')}` : `${plural(heading.narrower.length, 'narrower heading is', 'narrower headings are')} left out`}.`,
        why: 'Indexers use the narrowest heading that fits; the broader one alone leaves those records out.',
        fixes: fixAt(c, part.line, at, below, 'Take it with narrower'),
      },
    ]
  })

/** A heading beside one that is asked for, not below it, that wanted records carry and the block does not find. */
export const relatedMissed: Rule = (c) => {
  if (!c.searched) return []
  const told = new Set<string>()
  const asked = new Set(
    headingsOf(c).flatMap(({ at }) => c.thesaurus?.foldedLabels(at.label, at.below) ?? []),
  )
  return headingsOf(c).flatMap(({ part, at }): Finding[] => {
    const heading = c.thesaurus?.byLabel(at.label)
    if (!heading) return []
    const missed = c.thesaurus!.all(heading.related).flatMap((r) => {
      const e: HeadingRef = { kind: 'heading', label: r.label, below: false, main: false }
      // One that is asked for elsewhere, or is about another concept for sure, is no other word for this one.
      const concept = c.about.ofExpression(e)
      const own = c.about.of(part)
      if (told.has(r.id) || asked.has(foldLabel(r.label)) || (concept && own && concept !== own)) return []
      const gain = gainOfMore(c, c.search.blockOf(part), c.find(e))
      if (!gain || gain.wanted <= 0) return []
      told.add(r.id)
      return [{ e, gain }]
    })
    if (!missed.length) return []
    const names = listed(missed.map((m) => `“${m.e.label}”`))
    const it = missed.length === 1 ? 'it' : 'them'
    return [
      {
        code: 'related-missed',
        kind: 'gain',
        element: ELEMENT,
        lineId: c.lines[part.line - 1]!.id,
        about: missed.map((m) => m.e.label).join(', '),
        message: `Beside “${heading.label}”, not below it: ${names}. Wanted records carry ${it}, and the search misses them.`,
        why: 'A related heading is not taken along by “with narrower”.',
        gain: { hits: missed[0]!.gain.hits, wanted: missed[0]!.gain.wanted },
        fixes: withMore(
          c,
          part.line,
          missed.map((m) => m.e),
          `Add ${names}`,
        ),
      },
    ]
  })
}

/** Headings that are asked for as main focus only, where the others that carry them would be found as well. */
export const mainFocus: Rule = (c) =>
  c.lines.flatMap((line): Finding[] => {
    const own = headingsOf(c).filter(({ part, at }) => part.line === line.number && at.main)
    const [first] = own
    if (!first || !line.tree) return []
    const open = new Map(
      own.flatMap(({ part, at }) => (part.docs ? [[part, c.find({ ...at, main: false })] as const] : [])),
    )
    const gain = open.size ? gainOf(c, open, c.search.blockOf(first.part)) : undefined
    if (!worth(c, first.part, gain)) return []
    const names = listed(own.map(({ at }) => `“${at.label}”`))
    const one = own.length === 1
    const nodes = new Set<Expr>(own.map(({ at }) => at))
    return [
      {
        code: 'main-focus',
        kind: 'gain',
        element: ELEMENT,
        lineId: line.id,
        about: own.map(({ at }) => at.label).join(','),
        message: `${names} in line ${line.number} ${one ? 'is' : 'are'} asked for as main focus only; without that ${one ? 'it brings' : 'they bring'} ${gainWords(gain!)}.`,
        why: 'What a record is mainly about is the choice of one indexer; a search that wants everything asks for all.',
        gain: { hits: gain!.hits, wanted: gain!.wanted },
        fixes: [
          { label: 'Ask for all of them', lineId: line.id, text: print(withoutFocus(line.tree, nodes)) },
        ],
      },
    ]
  })

/** The tree with these headings asked for whether or not they are a main focus. */
function withoutFocus(tree: Expr, nodes: ReadonlySet<Expr>): Expr {
  if (tree.kind === 'heading' && nodes.has(tree)) return { ...tree, main: false }
  return mapChildren(tree, (part) => withoutFocus(part, nodes))
}

/** Words looked for among the headings where the vocabulary has just that heading, or leads to one from it. */
export const headingAsWords: Rule = (c) =>
  [...c.search.all()].flatMap((part): Finding[] => {
    const { at, fields, line } = part
    if (part.kind !== 'leaf' || fields?.join() !== 'subject' || !c.thesaurus) return []
    const heading = headingCalled(c, at)
    if (!heading) return []
    const e: HeadingRef = {
      kind: 'heading',
      label: heading.label,
      below: heading.narrower.length > 0,
      main: false,
    }
    const own = c.lines[line - 1]!
    const alone = own.tree?.kind === 'fields' && own.tree.of === at
    return [
      {
        code: 'heading-as-words',
        kind: 'form',
        element: ELEMENT,
        lineId: own.id,
        about: plain(at),
        message: `${plain(at)} in line ${line} is looked for as words among the headings; “${heading.label}” is a heading itself.`,
        why: 'Asked for as a heading it is found exactly, and its narrower headings with it.',
        fixes: alone ? fixAt(c, line, own.tree!, e, `Use the heading “${heading.label}”`) : [],
      },
    ]
  })

/** The heading that is called as these words say, or that they lead to. */
export function headingCalled(c: Judging, at: Expr): Heading | undefined {
  const text = at.kind === 'phrase' ? at.words.join(' ') : at.kind === 'word' ? at.text : ''
  return c.thesaurus?.byLabel(text) ?? c.thesaurus?.byEntryTerm(text)[0]
}
