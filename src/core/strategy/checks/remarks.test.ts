import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { alikeRemarks, RULES, type Remark } from '.'
import { remarksIn, term } from './checks.fixture'
import * as headings from './headings'
import * as limits from './limits'
import * as operators from './operators'
import * as syntax from './syntax'
import * as textWords from './text-words'
import * as translation from './translation'

const mindmere = remarksIn(PROFILES.mindmere!)
const quayside = remarksIn(PROFILES.quayside!)
const of = (remarks: readonly Remark[], code: string): Remark[] => remarks.filter((r) => r.code === code)

describe('the list of rules', () => {
  it('names every rule of every file, once', () => {
    const written = [translation, operators, headings, textWords, syntax, limits].flatMap((m) =>
      Object.values(m),
    )
    expect(new Set(RULES)).toEqual(new Set(written))
    expect(RULES.length).toBe(written.length)
  })
})

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
  it('is told by the line below that finds nothing, and only that one by its spelling', () => {
    const dead = of(
      mindmere({ lines: [{ text: 'nosie' }, { text: 'noise' }, { text: '#1 AND #2' }] }),
      'dead-line',
    )
    expect(dead.map((r) => [r.lineId, /misspelled/.test(r.why)])).toEqual([
      ['l1', true],
      ['l3', false],
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
        { text: 'place: ghent' },
        { text: 'noise' },
        { text: 'place: oslo' },
        { text: 'place: bergen' },
      ],
    })
    const alike = alikeRemarks(of(remarks, 'field-missing'))
    expect(alike).toHaveLength(1)
    expect(alike[0]!.message).toMatch(/line 1\).*The same holds for lines 3 and 4\.$/)
    expect(alike[0]!.others.map((r) => r.lineId)).toEqual(['l3', 'l4'])
    expect(alikeRemarks(remarks).flatMap((a) => [a.first, ...a.others])).toHaveLength(remarks.length)
  })

  it('offer no change for a line that is not understood whole: it would drop the rest', () => {
    const whole = mindmere({ lines: [{ text: 'noise OR rooms AND reading' }] })
    const broken = mindmere({ lines: [{ text: 'noise OR rooms AND reading AND (' }] })
    expect(of(whole, 'mixed-operators')[0]!.fix).toBeDefined()
    expect(broken.every((r) => r.fix === undefined)).toBe(true)
  })

  it('name a concept whose lines feed no line that counts', () => {
    const [remark] = of(
      mindmere({ lines: [{ text: 'noise' }, { text: 'rooms', conceptId: 'a' }] }),
      'feeds-nothing',
    )
    expect(remark!.message).toBe('B Sound has line 1, and it feeds the last line, which counts.')
  })
})
