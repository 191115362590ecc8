import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../../base/trials.fixture'
import { parse } from '../../query'
import { anyDescription } from '../descriptions.arbitrary'
import { collisionsOf, learn, printFor, type Profile } from '..'

const QUERIES = [
  'title: noise*',
  'title: ("sound field" OR reverberation)',
  'abstract: pupil*',
  'keywords: reading',
  'author: ahola',
  'title: listening NOT abstract: music',
  '#1 AND #2',
  '(#3 OR #4) NOT #5',
  '#1 AND #3 AND #6',
  'classroom* OR school*',
]
const NAMES: Record<string, string> = {
  title: 'the title',
  abstract: 'the abstract',
  keywords: 'keywords',
  author: 'the author',
}

/** Ten of its own strategies, and of each code with letters what it is; with what they show by its place. */
function rowsOf(p: Profile): { pasted: string; shown: Map<string, string> } {
  const shown = new Map<string, string>()
  const rows = QUERIES.flatMap((q) => {
    const { text, losses, queries } = printFor(parse(q).tree!, p)
    return losses.length || queries.length > 1 ? [] : [text]
  })
  for (const { of, form } of p.fields) {
    const code = form.replace('{expr}', ' ').match(/[\p{L}\p{N}]+/gu)
    if (of.length > 1 || code?.length !== 1 || !NAMES[of[0]!]) continue
    rows.push(`${code[0]} is ${NAMES[of[0]!]}`)
    shown.set(`fields.${of[0]!}`, form)
  }
  if (p.truncation.any) shown.set('truncation.any', p.truncation.any)
  if (p.lines) shown.set('lines.reference', p.lines.reference)
  return { pasted: rows.join('\n'), shown }
}

describe('rows of a strategy that nobody said anything about', () => {
  it('teach no form that is wrong without a doubt, and many that are right', () => {
    const wrong: string[] = []
    const met = new Map<string, { sure: number; found: number; all: number }>()
    const drawn = fc.sample(anyDescription, {
      numRuns: trials(40, 1000),
      seed: Number(process.env.SEED ?? 7),
    })
    for (const { description: p } of drawn) {
      if (collisionsOf(p).length) continue
      const { pasted, shown } = rowsOf(p)
      const { profile, seen, doubts } = learn(pasted)
      const learned = profile as unknown as Profile
      for (const [at, form] of shown) {
        const kind = at.split('.')[0]!
        const own = met.get(kind) ?? { sure: 0, found: 0, all: 0 }
        met.set(kind, own)
        own.all++
        if (!seen[at]) continue
        own.found++
        const got =
          kind === 'fields'
            ? learned.fields.find((f) => f.of.join() === at.slice(7))?.form
            : kind === 'lines'
              ? learned.lines?.reference
              : learned.truncation.any
        if (doubts.some((d) => d.at === at)) continue
        own.sure++
        if (got !== form) wrong.push(`${at}: ${form} learned as ${got} from\n${pasted}`)
      }
    }
    expect(wrong.slice(0, 3).join('\n\n')).toBe('')
    // Enough is found for this to mean something.
    for (const kind of ['fields', 'lines', 'truncation'])
      expect(met.get(kind)!.found, kind).toBeGreaterThanOrEqual(met.get(kind)!.all * 0.3)
  })

  it('tell how lines are named, what codes are that a row tells of, and ask what no row tells', () => {
    const { profile, doubts, seen } = learn(
      ['noise*[q1]', '"sound field"[q1] OR din[q2]', 'S1 AND S2', 'S1 NOT S3', 'q1 is the title'].join('\n'),
    )
    expect(profile).toMatchObject({
      fields: [{ of: ['title'], form: '{expr}[q1]' }],
      lines: { reference: 'S{n}' },
      truncation: { any: '*' },
      operators: { not: ['NOT'] },
    })
    expect(seen['fields.title']).toEqual([5, 1, 2])
    expect(doubts.map((d) => d.words).join('\n')).toContain('What does [q2] search in?')
    expect(doubts.find((d) => d.at === 'truncation.any')!.words).toContain('sign for any ending?')
  })
})
