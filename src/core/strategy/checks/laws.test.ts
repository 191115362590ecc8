import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parse, print } from '../../query'
import { anyExpression } from '../../query/expressions.arbitrary'
import { PROFILES } from '../../../standins/profiles'
import { trials } from '../../base/trials.fixture'
import { fixed, remarksIn, type Given } from './checks.fixture'
import { remarkKey, type Fix } from '.'

const remarks = remarksIn(PROFILES.mindmere!)

/** What librarians find in strategies: words, headings and lines that are nearly right. */
const piece = fc.constantFrom(
  'noise',
  'rooms',
  'reading',
  'behaviour',
  'behavior',
  '"sound field"',
  '"sound field*"',
  'read*',
  'ro*',
  'zebra',
  '"and"',
  '"not"',
  'noise NEAR/1 reading',
  'noise NEAR/20 rooms',
  'heading: "Room acoustics"',
  'heading: "Echo"',
  'heading: "Hearin"',
  'heading.below: "Sound"',
  'heading: "Hearing"',
  'class: "B4"',
  'abstract: noise',
  'fulltext: rooms',
  '#1',
  '#2',
  '#7',
)
const lineText = fc.oneof(
  piece,
  fc.tuple(piece, fc.constantFrom('AND', 'OR', 'NOT', ''), piece).map((p) => p.join(' ')),
  fc.tuple(piece, piece, piece).map(([a, b, c]) => `${a} OR ${b} AND ${c}`),
  fc.tuple(piece, piece).map(([a, b]) => `(${a}) NOT ${b}`),
  fc.constantFrom('any(#1-#2)', 'all(#1-#3)', '(noise', 'noise AND', ''),
  anyExpression.map(print),
)
const given: fc.Arbitrary<Given> = fc.record({
  lines: fc.array(fc.record({ text: lineText, conceptId: fc.constantFrom('a', 'b', '') }), {
    minLength: 1,
    maxLength: 5,
  }),
  profile: fc.constantFrom(...Object.values(PROFILES)),
  wanted: fc.uniqueArray(fc.nat(5), { maxLength: 3 }),
  vocabulary: fc.boolean(),
})

const changed = (before: Given, fix: Fix): Given => ({
  ...before,
  lines: before.lines.map((l, i) => (`l${i + 1}` === fix.lineId ? fixed(l, fix) : l)),
})

describe('whatever a strategy says', () => {
  it('every remark has a message, a reason and a place that is there', () => {
    fc.assert(
      fc.property(given, (g) => {
        for (const r of remarks(g)) {
          expect(r.message).toMatch(/\.$/)
          expect(r.why.length).toBeGreaterThan(10)
          if (r.lineId) expect(Number(r.lineId.slice(1))).toBeLessThanOrEqual(g.lines.length)
        }
      }),
      { numRuns: trials(150, 300) },
    )
  })

  it('hits that were really found are never called impossible', () => {
    fc.assert(
      fc.property(given, (g) => {
        const codes = remarks({ ...g, searched: false }).map((r) => r.code)
        expect(codes).not.toContain('count-impossible')
      }),
      { numRuns: trials(200, 400) },
    )
  })

  it('a fix can be read, and takes its own remark away', () => {
    fc.assert(
      fc.property(given, (g) => {
        for (const r of remarks(g)) {
          for (const fix of r.fixes) {
            expect(parse(fix.text).problems.filter((p) => p.severity === 'error')).toEqual([])
            const after = remarks(changed(g, fix))
            expect(after.map(remarkKey), `${r.code}: ${r.message} → ${fix.text}`).not.toContain(remarkKey(r))
          }
        }
      }),
      { numRuns: trials(200, 400) },
    )
  })

  it('fixes come to an end: taking the first that is offered, again and again, leaves none', () => {
    fc.assert(
      fc.property(given, (g) => {
        let now = g
        const taken: string[] = []
        for (let i = 0; i < 40; i++) {
          const next = remarks(now).find((r) => r.fixes.length)
          if (!next) return
          taken.push(`${next.code}: ${next.fixes[0]!.text}`)
          now = changed(now, next.fixes[0]!)
        }
        throw new Error(`never ends: ${taken.slice(-4).join(' → ')}`)
      }),
      { numRuns: trials(100, 200) },
    )
  })
})
