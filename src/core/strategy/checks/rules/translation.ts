import { listed } from '../../../base'
import { inFields, joined, type Expr } from '../../../query'
import { termExpression } from '../../draft/draft'
import { unitsOf } from '../../draft/units'
import { demandsOf, leavesOf, type Part } from '../../tree'
import { fixAt, leftOut, plain, withMore, withWords, writtenParts } from '../change'
import type { CheckContext, Finding, Judging, Rule } from '../check'
import { gainOf, gainOfMore, gainWords, moreWords, worth } from '../gain'
import { headingCalled } from './headings'

const ELEMENT = 'Translation of the question'

const ownTerms = (c: CheckContext, conceptId: string) =>
  c.terms.filter((t) => t.conceptId === conceptId && t.status === 'in use')

/** Is it asked for as a heading, and not as the words of one where there is no vocabulary? */
const isHeading = ({ at, losses }: Part): boolean =>
  (at.kind === 'heading' || at.kind === 'class') && !losses.some((l) => l.cause.code === 'no-vocabulary')

/** A concept that must be named, and that the line which counts does not ask for. */
export const conceptMissing: Rule = (c) => {
  const { root } = c.search
  if (!root) return []
  const asked = c.about.all(root)
  return c.concepts.flatMap((k): Finding[] => {
    // Where nothing is planned of it nothing tells whether a line is about it.
    const known = ownTerms(c, k.id).length > 0 || c.lines.some((l) => l.conceptId === k.id)
    if (!k.essential || asked.has(k.id) || !known) return []
    const own = c.lines.flatMap((l, i) =>
      c.search.roots[i] && c.about.all(c.search.roots[i]).has(k.id) ? [l] : [],
    )
    const lines =
      own.length === 1 ? `line ${own[0]!.number} is` : `lines ${listed(own.map((l) => String(l.number)))} are`
    return [
      {
        code: 'concept-missing',
        kind: 'form',
        element: ELEMENT,
        conceptId: k.id,
        about: '',
        message: `${k.letter} ${k.name} is essential, and line ${c.search.counting}, which counts, does not ask for it${own.length ? `; ${lines} not joined to it` : ''}.`,
        why: 'What the line that counts does not ask for was not searched for; join it, or make the concept optional.',
        fixes: [],
      },
    ]
  })
}

/** A concept that is asked for in headings alone although the records of the newest works have none yet. */
export const noWordsAsked: Rule = (c) =>
  demands(c).flatMap(({ part, concept }): Finding[] => {
    if (!saidOf(c, part, concept.id).every(isHeading)) return []
    const words = ownTerms(c, concept.id).flatMap((t) => (t.kind === 'text' ? (termExpression(t) ?? []) : []))
    const more = words.length ? inFields(['text'], joined('or', words)) : undefined
    const gain = more && c.searched ? gainOfMore(c, part, c.find(more)) : undefined
    return [
      {
        code: 'no-words-asked',
        kind: 'form',
        element: ELEMENT,
        lineId: c.lines[part.line - 1]!.id,
        about: concept.id,
        message: `${concept.letter} ${concept.name} is asked for in headings alone, in line ${part.line}${gain ? `; the words of the plan bring ${gainWords(gain)}` : ''}.`,
        why: 'The newest records, and those that were badly indexed, are found by words alone.',
        ...(gain ? { gain: { hits: gain.hits, wanted: gain.wanted } } : {}),
        fixes: more ? withMore(c, part.line, [more], 'Add the words of the plan') : [],
      },
    ]
  })

/** A concept that is asked for in words alone although the source has a vocabulary that has it. */
export const noHeadingAsked: Rule = (c) =>
  demands(c).flatMap(({ part, concept }): Finding[] => {
    const { thesaurus } = c
    const asked = saidOf(c, part, concept.id)
    if (!thesaurus || asked.some((l) => isHeading(l) || l.fields?.includes('subject'))) return []
    const planned = ownTerms(c, concept.id).flatMap((t) =>
      t.kind === 'heading' && t.sourceId === c.sourceId ? (termExpression(t) ?? []) : [],
    )
    const more = planned.length ? planned : headingsFor(c, part)
    if (!more.length) return []
    const all = joined('or', more)
    const gain = c.searched ? gainOfMore(c, part, c.find(all)) : undefined
    if (c.searched && !worth(c, part, gain)) return []
    const names = listed(more.flatMap((e) => (e.kind === 'heading' ? [`“${e.label}”`] : [plain(e)])))
    return [
      {
        code: 'no-heading-asked',
        kind: 'form',
        element: 'Subject headings',
        lineId: c.lines[part.line - 1]!.id,
        about: concept.id,
        message: `${concept.letter} ${concept.name} is asked for in words alone, in line ${part.line}; ${c.profile.name} has ${names}${gain ? `, which ${more.length === 1 ? 'brings' : 'bring'} ${gainWords(gain)}` : ''}.`,
        why: 'Headings find records whose authors use other words.',
        ...(gain ? { gain: { hits: gain.hits, wanted: gain.wanted } } : {}),
        fixes: withMore(c, part.line, more, `Add ${names}`),
      },
    ]
  })

/** Headings that are called as a word or phrase of this part, or that one of these leads to. */
function headingsFor(c: Judging, part: Part): Expr[] {
  const found = leavesOf(part).flatMap((l) => headingCalled(c, l.at) ?? [])
  return [...new Set(found)].map((h) => ({
    kind: 'heading',
    label: h.label,
    below: h.narrower.length > 0,
    main: false,
  }))
}

/** Words of the plan that are not asked for where their concept is. */
export const plannedMissing: Rule = (c) =>
  demands(c, true).flatMap(({ part, concept }): Finding[] => {
    const leaves = leavesOf(part)
    // Where no word is asked for, that is what is told.
    if (!c.searched || leaves.every(isHeading)) return []
    const all = saidOf(c, part, concept.id)
    const said = new Set(all.flatMap((l) => unitsOf(l.at).map((u) => u.key)))
    const missing = ownTerms(c, concept.id).flatMap((t) => {
      const e = t.kind === 'text' ? termExpression(t) : undefined
      if (!e || unitsOf(e).every((u) => said.has(u.key))) return []
      const gain = gainOfMore(c, part, c.find(inFields(['text'], e)))
      return worth(c, part, gain) ? [{ e, gain: gain! }] : []
    })
    if (!missing.length) return []
    missing.sort((a, b) => b.gain.wanted - a.gain.wanted || b.gain.hits - a.gain.hits)
    const names = listed(missing.map((m) => plain(m.e)))
    const first = missing[0]!
    const line = (leaves.find((l) => !isHeading(l)) ?? part).line
    return [
      {
        code: 'planned-missing',
        kind: 'gain',
        element: ELEMENT,
        lineId: c.lines[line - 1]!.id,
        about: concept.id,
        message: `${names} ${missing.length === 1 ? 'is' : 'are'} planned for ${concept.letter} ${concept.name}, and line ${line} does not ask for ${missing.length === 1 ? 'it' : 'them'}; ${missing.length === 1 ? 'it' : `${plain(first.e)} alone`} brings ${gainWords(first.gain)}.`,
        why: 'What was planned and is not asked for anywhere is found by chance only.',
        gain: { hits: first.gain.hits, wanted: first.gain.wanted },
        fixes: withWords(
          c,
          line,
          missing.map((m) => m.e),
          `Add ${names}`,
        ),
      },
    ]
  })

/** The leaves of a part, and of all else that the line which counts demands of the same concept. */
const saidOf = (c: Judging, part: Part, concept: string): Part[] => {
  const demanded = c.search.root ? demandsOf(c.search.root) : []
  return [part, ...demanded.filter((d) => c.about.of(d) === concept)].flatMap(leavesOf)
}

/** What the line that counts demands, with the concept of each; `spare`: also lines of concepts that it does not ask for. */
function demands(c: Judging, spare = false): { part: Part; concept: Judging['concepts'][number] }[] {
  const { root, roots, reached } = c.search
  const own = root ? demandsOf(root) : []
  const rest = spare
    ? roots.flatMap((r, i) => (r && !reached.has(i + 1) && r.line === i + 1 && r.kind !== 'and' ? [r] : []))
    : []
  return [...own, ...rest].flatMap((part) => {
    const id = c.about.of(part)
    const concept = c.concepts.find((k) => k.id === id)
    return concept && !part.whole ? [{ part, concept }] : []
  })
}

/** An optional concept that is asked for together with others: authors often leave it unsaid. */
export const optionalAsked: Rule = (c) =>
  [...c.search.all()].flatMap((joining): Finding[] => {
    if (joining.kind !== 'and' || !c.search.reached.has(joining.line)) return []
    const written = writtenParts(joining)
    return joining.parts.flatMap((part, i): Finding[] => {
      const concept = c.concepts.find((k) => k.id === c.about.of(part))
      const left = leftOut(joining, [part])
      if (!concept || concept.essential || !left || !written) return []
      const others = joining.parts.filter((p) => p !== part)
      if (others.every((p) => c.about.of(p) === concept.id)) return []
      const gain = joining.docs
        ? gainOf(c, new Map([[joining, c.search.without(joining, [part])]]), joining)
        : undefined
      const lost = gain?.wanted ?? 0
      const asking = [...c.search.all()].filter((p) => p.kind === 'and' && p.line === joining.line)
      const once = asking.flatMap((p) => p.parts).filter((p) => c.about.of(p) === concept.id).length === 1
      return [
        {
          code: 'optional-asked',
          kind: 'form',
          element: ELEMENT,
          lineId: c.lines[joining.line - 1]!.id,
          about: concept.id,
          message: `Line ${joining.line} asks for ${concept.letter} ${concept.name}, which is optional${lost > 0 ? `; ${lost} wanted ${lost === 1 ? 'record does' : 'records do'} not name it` : ''}.`,
          why: 'Authors often leave it unsaid in titles and abstracts; asked for, it loses them.',
          ...(gain ? { gain: { hits: gain.hits, wanted: gain.wanted } } : {}),
          // Asked for more than once in a line, leaving one out would not be enough.
          fixes: once ? fixAt(c, joining.line, joining.at, left, `Do not ask for ${plain(written[i]!)}`) : [],
        },
      ]
    })
  })

/** More concepts than this in one AND leave hardly anything (common practice). */
const MOST_ASKED = 4

/** More ideas asked for at once than records name. */
export const manyAsked: Rule = (c) => {
  const { root } = c.search
  const n = root ? conceptsAsked(c, root) : 0
  const joining = root && n > MOST_ASKED ? andOf(c, root) : undefined
  if (!joining) return []
  const written = writtenParts(joining)
  const best = joining.parts
    .flatMap((part, i) => {
      const gain = joining.docs
        ? gainOf(c, new Map([[joining, c.search.without(joining, [part])]]), joining)
        : undefined
      return gain && written ? [{ part, name: plain(written[i]!), gain }] : []
    })
    .sort((a, b) => b.gain.wanted - a.gain.wanted || b.gain.hits - a.gain.hits)[0]
  const left = best && leftOut(joining, [best.part])
  return [
    {
      code: 'many-asked',
      kind: 'form',
      element: ELEMENT,
      lineId: c.lines[joining.line - 1]!.id,
      about: '',
      message: `Line ${joining.line} asks for ${n} concepts at once${best && best.gain.hits > 0 ? `; without ${best.name} it finds ${moreWords(best.gain)}` : ''}.`,
      why: `Few records name more than ${MOST_ASKED}: ask for the two or three that matter, and read for the others.`,
      ...(best ? { gain: { hits: best.gain.hits, wanted: best.gain.wanted } } : {}),
      fixes: left ? fixAt(c, joining.line, joining.at, left, `Leave ${best.name} out`) : [],
      owns: [joining],
    },
  ]
}

/** How many things a part asks for: planned terms of one concept are one, and all else is one each. */
function conceptsAsked(c: Judging, root: Part): number {
  const about = demandsOf(root).map((d) => c.about.said(d) ?? d)
  return new Set(about).size
}

/** The AND that asks for most of it. */
const andOf = (c: Judging, root: Part): Part | undefined =>
  [...c.search.all()]
    .filter((p) => p.kind === 'and' && c.search.reached.has(p.line))
    .sort((a, b) => demandsOf(b).length - demandsOf(a).length || (a === root ? -1 : 1))[0]

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
          ...(gain ? { gain: { hits: gain.hits, wanted: gain.wanted } } : {}),
          fixes: fixAt(c, joining.line, joining.at, joined('and', by), `Join #${number} instead`),
          owns: [block],
        },
      ]
    })
  })

/** Before there are lines: a concept without words, or without a heading where the source has a vocabulary. */
export const planThin: Rule = (c) =>
  c.lines.length
    ? []
    : c.concepts.flatMap((k): Finding[] => {
        const own = ownTerms(c, k.id)
        const base = { kind: 'form', element: ELEMENT, conceptId: k.id, about: '', fixes: [] } as const
        const words = own.some((t) => t.kind === 'text' || t.kind === 'named')
        const heads = own.some(
          (t) => (t.kind === 'heading' || t.kind === 'class') && t.sourceId === c.sourceId,
        )
        if (!k.essential) return []
        return [
          ...(words
            ? []
            : [
                {
                  ...base,
                  code: 'no-words',
                  message: `${k.letter} ${k.name} has no text words.`,
                  why: 'The newest records, and those that were badly indexed, are found by words alone.',
                },
              ]),
          ...(heads || !c.thesaurus
            ? []
            : [
                {
                  ...base,
                  code: 'no-heading',
                  message: `${k.letter} ${k.name} has no heading, and ${c.profile.name} has a vocabulary.`,
                  why: 'Headings find records whose authors use other words.',
                },
              ]),
        ]
      })
