import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { buildIndex, evaluate } from '../../engine'
import { parse, type Expr } from '../../query'
import { emptyRecord, toDocument } from '../../records'
import { spellingPairs } from '../words'
import { alikeRemarks, checkStrategy, type Remark } from '.'
import { remarksIn, term } from './checks.fixture'

const mindmere = remarksIn(PROFILES.mindmere!)
const quayside = remarksIn(PROFILES.quayside!)
const of = (remarks: readonly Remark[], code: string): Remark[] => remarks.filter((r) => r.code === code)

describe('a line that finds nothing', () => {
  const years = (from: number) => [{ kind: 'years', from, to: 2026 } as const]
  it('is told by its limit, where what it is built on finds something', () => {
    const [dead] = of(
      mindmere({ lines: [{ text: 'noise' }, { text: '#1', limits: years(2025) }] }),
      'dead-line',
    )
    expect(dead!.message).toBe('Line 2 finds nothing: the limit to 2025–2026 leaves none of 3.')
    expect(dead!.why).not.toMatch(/misspelled/)
  })
  it('is told by the part that finds nothing, with what was meant, and not again by what it empties', () => {
    const lines = [{ text: 'nosie' }, { text: 'noise' }, { text: '#1 AND #2' }]
    const found = mindmere({ lines })
    expect(of(found, 'dead-line')).toEqual([])
    expect(of(found, 'dead-part').map((r) => [r.lineId, r.message, r.fixes.map((f) => f.text)])).toEqual([
      ['l1', 'nosie in line 1 finds nothing; “noise” may be meant.', ['noise']],
    ])
  })
})

describe('remarks', () => {
  it('never have an empty place', () => {
    // A heading where there is no vocabulary, and names, lose their field without naming one.
    const all = [
      ...quayside({
        lines: [{ text: 'heading: "Room acoustics"' }, { text: 'author: ahola' }, { text: 'place: ghent' }],
      }),
      ...quayside({ lines: [{ text: 'noise OR author: ahola' }], terms: [term('b', 'text', 'noise')] }),
    ]
    expect(all.length).toBeGreaterThan(3)
    for (const { message, why } of all)
      expect(`${message} ${why}`).not.toMatch(/ {2}|\(\)| [.,;:]|for  |“”|undefined/)
  })

  it('that differ only in the number of a line are one, in their order', () => {
    const remarks = quayside({
      lines: [
        { text: 'place: noise' },
        { text: 'noise' },
        { text: 'place: noise OR rooms' },
        { text: 'place: noise' },
      ],
    })
    const alike = alikeRemarks(of(remarks, 'field-missing'))
    expect(alike).toHaveLength(1)
    expect(alike[0]!.message).toMatch(
      /^Line 1 asks for what cannot be asked there: .* no field for place\. The same holds for lines 3 and 4\.$/,
    )
    expect(alike[0]!.others.map((r) => r.lineId)).toEqual(['l3', 'l4'])
    expect(alikeRemarks(remarks).flatMap((a) => [a.first, ...a.others])).toHaveLength(remarks.length)
  })

  it('offer no change for a line that is not understood whole: it would drop the rest', () => {
    const whole = mindmere({ lines: [{ text: 'noise OR rooms AND reading' }] })
    const broken = mindmere({ lines: [{ text: 'noise OR rooms AND reading AND (' }] })
    expect(of(whole, 'mixed-operators')[0]!.fixes).not.toEqual([])
    expect(broken.every((r) => !r.fixes.length)).toBe(true)
  })

  it('name a concept that the line which counts does not ask for, with the lines that do', () => {
    const [remark] = of(
      mindmere({ lines: [{ text: 'noise' }, { text: 'rooms', conceptId: 'a' }] }),
      'concept-missing',
    )
    expect(remark!.message).toBe(
      'B Sound is essential, and line 2, which counts, does not ask for it; line 1 is not joined to it.',
    )
  })

  it('judge what somebody chose to count, and nothing that was tried behind it', () => {
    const lines = [{ text: 'noise' }, { text: '#1 NOT reading' }]
    expect(of(mindmere({ lines, wanted: [0] }), 'not-loses')).toHaveLength(1)
    expect(mindmere({ lines, wanted: [0], counts: 1 }).map((r) => r.lineId)).not.toContain('l2')
  })
})

describe('a word that brings noise', () => {
  const records = Array.from({ length: 30 }, (_, n) => ({
    ...emptyRecord(String(n), n < 16 ? `Noise ${n}` : `Babble in rooms ${n}`),
  }))
  const index = buildIndex(records.map(toDocument))
  const told = (unwanted: number[], wanted: number[] = []): string[] => {
    const tree = parse('noise OR babble').tree!
    const find = (e: Expr) => evaluate(index, e).docs
    return checkStrategy({
      ...{
        concepts: [],
        terms: [],
        limits: [],
        sourceId: 's',
        profile: PROFILES.mindmere!,
        thesaurus: undefined,
      },
      lines: [
        {
          id: 'l1',
          number: 1,
          text: 'noise OR babble',
          tree,
          problems: [],
          limits: [],
          docs: find(tree),
          hits: 30,
          losses: [],
        },
      ],
      ...{
        searched: true,
        index,
        pairs: spellingPairs({}, {}),
        find,
        lossesOf: () => [],
        limited: (docs) => docs,
      },
      ...{ wanted: new Set(wanted), unwanted: new Set(unwanted) },
    }).flatMap((r) => (r.code === 'noise-term' ? [r.message] : []))
  }
  const first = (n: number): number[] => Array.from({ length: n }, (_, i) => i)
  const last = (n: number): number[] => first(n).map((i) => 29 - i)
  it('is told where hardly any of what it alone brings is kept beside the others, and not before ten were ruled', () => {
    expect(told(first(12), last(12))).toEqual([
      'noise in line 1 alone brings 16 records; of 12 that were ruled, 12 were ruled out.',
    ])
    expect(told(first(9), last(12))).toEqual([])
    expect(told(first(10), [10, 11, 12, ...last(12)])).toEqual([])
    // Where most of everything is ruled out, no word is noise by that.
    expect(told([...first(12), ...last(11)], [18])).toEqual([])
  })
})
