import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../../base/trials.fixture'
import { anyDescription, type Drawn } from '../descriptions.arbitrary'
import { filled, formsOf, type Form } from '../forms'
import type { Profile } from '../schema'
import { collisionsOf, learn, readDescription, readFrom } from '..'
import { print } from '../../query'

const WORDS = ['noise', 'reading', 'classroom', 'pupils', 'listening', 'sound']
const NAMES: Record<string, string> = {
  title: 'words of the title',
  abstract: 'words of the abstract',
  keywords: 'keywords',
  subject: 'words of subjects',
  author: 'author',
  journal: 'journal',
}

/** A help page of a described database: what each form shows, and an example of it; with the form by its place. */
function helpPage(p: Profile, word: (n: number) => string): { pasted: string; shown: Map<string, string> } {
  const rows: string[] = []
  const shown = new Map<string, string>()
  let n = 0
  const show = (at: string, said: string, text: string, form: string): void => {
    rows.push(`${said}\t${text}`)
    shown.set(at, form)
  }
  const slot = (form: Form, name: string): string => `${form.before}{${name}}${form.after}`
  const forms = formsOf(p)
  for (const f of forms.fields) {
    const fields = f.means.fields
    const said = fields.map((x) => NAMES[x]).join(', ')
    show(`fields.${[...fields].sort().join(',')}`, said, filled(f, word(n++)), slot(f, 'expr'))
  }
  for (const [below, main, at, said] of [
    [false, false, 'plain', 'heading'],
    [true, false, 'below', 'heading with narrower'],
    [false, true, 'main', 'heading as main focus'],
    [true, true, 'belowMain', 'heading with narrower, as main focus'],
  ] as const) {
    const f = forms.heading(below, main)
    if (f) show(`headings.${at}`, said, filled(f, 'Reading'), slot(f, 'label'))
  }
  for (const op of ['and', 'or', 'not'] as const) {
    const sign = forms.op(op)
    const said = { and: 'both words', or: 'either word', not: 'the first without the second' }[op]
    if (sign) show(`operators.${op}`, said, `${word(n++)} ${sign} ${word(n++)}`, sign)
  }
  for (const ordered of [false, true]) {
    const f = forms.near(ordered)
    if (f)
      show(
        `nearness.${ordered ? 'ordered' : 'either'}`,
        `near each other in ${ordered ? 'this' : 'either'} order`,
        `${word(n++)} ${filled(f, '3')} ${word(n++)}`,
        slot(f, 'n'),
      )
  }
  const { any, one, upTo } = p.truncation
  if (any) show('truncation.any', 'any ending', `nois${any}`, any)
  if (one)
    show('truncation.one', 'exactly one character', p.truncation.inside ? `wom${one}n` : `nois${one}`, one)
  if (upTo) show('truncation.upTo', 'up to n characters', `nois${upTo.replace('{n}', '2')}`, upTo)
  show(
    'quotes',
    'phrase',
    `${p.quotes.open}sound field${p.quotes.close}`,
    `${p.quotes.open} ${p.quotes.close}`,
  )
  if (forms.line) show('lines.reference', 'a line', filled(forms.line, '4'), slot(forms.line, 'n'))
  return { pasted: rows.join('\n'), shown }
}

/** What was learned at a place, as the description has it. */
function learnedAt(profile: Record<string, unknown>, at: string): string | undefined {
  const p = profile as unknown as Profile
  const [part, key = ''] = at.split('.')
  if (part === 'fields') return p.fields.find((f) => [...f.of].sort().join(',') === key)?.form
  if (part === 'operators') return (p.operators[key as 'and'] ?? [])[0]
  if (part === 'quotes') return `${p.quotes.open} ${p.quotes.close}`
  if (part === 'headings') return p.headings?.[key as 'plain']
  if (part === 'nearness') return p.nearness?.[key as 'either']
  if (part === 'truncation') return p.truncation[key as 'any']
  return p.lines?.reference
}

const measured = (drawn: readonly Drawn[], word: (n: number) => string) => {
  let [all, sure] = [0, 0]
  const wrong: string[] = []
  for (const { description } of drawn) {
    if (collisionsOf(description).length) continue
    const { pasted, shown } = helpPage(description, word)
    const { profile, doubts } = learn(pasted)
    const doubted = new Set(doubts.map((d) => d.at))
    for (const [at, form] of shown) {
      all++
      if (doubted.has(at)) continue
      if (learnedAt(profile, at) === form) sure++
      else {
        wrong.push(`${at}: ${form} learned as ${learnedAt(profile, at)} from\n${pasted}`)
      }
    }
  }
  return { all, sure: sure / all, wrong }
}

describe('a description learned from a help page', () => {
  const drawn = fc
    .sample(anyDescription, { numRuns: trials(50, 1000), seed: Number(process.env.SEED ?? 20261130) })
    .filter((d) => d.fieldShape !== undefined)
  it('has no form wrong without a doubt, and nine of ten of those shown without one', () => {
    const { sure, wrong, all } = measured(drawn, (n) => WORDS[n % WORDS.length]!)
    expect(wrong).toEqual([])
    expect(all).toBeGreaterThan(drawn.length * 8)
    expect(sure).toBeGreaterThanOrEqual(0.9)
  })

  const PAGE = [
    'Title words\t<t>noise',
    'Title words\t<t>rooms',
    'Words of the abstract\t<a>"sound field"',
    'Author\t<w>larch',
    'Heading\t{Reading}',
    'Heading with narrower\t{Reading +}',
    'both words\tnoise & pupils',
    'either word\tnoise | din',
    'any ending\tnois^',
    'within 3 words\tnoise <3> pupils',
    'A line\t@4',
    'Any of some lines\tany of @1, @3 to @5',
    '1 <t>noise & <a>pupils 1,204',
    '2 <t>(noise | din) & @1 96',
  ].join('\n')
  it('says of each part in which examples it was seen, and reads a strategy by it', () => {
    const { profile, seen, doubts } = learn(PAGE, 'Lantern Index')
    expect(doubts).toEqual([])
    const read = readDescription(profile)
    if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
    expect(read.value.fields).toEqual([
      { of: ['title'], form: '<t>{expr}' },
      { of: ['abstract'], form: '<a>{expr}' },
      { of: ['author'], form: '<w>{expr}' },
    ])
    expect(read.value.headings).toMatchObject({ plain: '{{label}}', below: '{{label} +}' })
    expect(read.value.lines).toMatchObject({
      reference: '@{n}',
      anyOf: 'any of {list}',
      range: '{from} to {to}',
    })
    expect(seen['fields.title']).toEqual([1, 2])
    expect(print(readFrom('<t>(noise | din) & @1', read.value).tree!)).toBe('title: (noise OR din) AND #1')
  })
  it('shows what contradicts itself, and what it cannot read', () => {
    const at = (more: string): string[] => learn(`${PAGE}\n${more}`).doubts.map((d) => d.at)
    expect(at('Title words\tnoise[q1]')).toContain('fields.title')
    expect(at('any ending\tnois$')).toContain('truncation.any')
    expect(at('3 <zz>noise & @2 12')).toContain('examples')
  })
  it('asks at most three things that no example tells', () => {
    expect(learn(PAGE).questions).toHaveLength(3)
    expect(learn('').questions.length).toBeLessThanOrEqual(3)
  })
  it('takes any text without throwing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.string(), fc.constantFrom(...PAGE.split('\n'))), { maxLength: 8 }),
        (rows) => {
          learn(rows.join('\n'))
        },
      ),
      { numRuns: trials(60, 600) },
    )
  })
})
