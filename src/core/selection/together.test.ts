import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { agreementAmong, agreementWords, SAID, type OwnRulings, type SaidOfWork } from '.'

const READERS = ['a', 'b', 'c'] as const
type Deed =
  | { does: 'rule'; work: number; reader: string; verdict: (typeof SAID)[number]; blinded: boolean }
  | { does: 'settle'; work: number }
const deed: fc.Arbitrary<Deed> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.record({
      does: fc.constant('rule' as const),
      work: fc.nat(3),
      reader: fc.constantFrom(...READERS),
      verdict: fc.constantFrom(...SAID),
      blinded: fc.boolean(),
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('settle' as const), work: fc.nat(3) }) },
)
const at = (n: number): string => new Date(Date.UTC(2026, 10, 1, 9, n)).toISOString()

/** What a review would hold after these deeds, and, apart from it, how often two readers said what first, unseen. */
function after(deeds: readonly Deed[]) {
  const own = new Map<number, Record<string, OwnRulings[string]>>()
  const said = new Map<number, SaidOfWork>()
  deeds.forEach((d, n) => {
    if (d.does === 'settle') {
      const settled = {
        recordId: 'i/1',
        pass: 'broad' as const,
        verdict: 'in' as const,
        by: 'a',
        how: '',
        at: at(n),
      }
      said.set(d.work, { settled: { broad: settled } })
      return
    }
    const key = `broad/${d.reader}`
    const all = own.get(d.work) ?? {}
    const before = all[key]
    const ruling = {
      recordId: `i/${d.work + 1}`,
      pass: 'broad' as const,
      reader: d.reader,
      verdict: d.verdict,
      at: at(n),
    }
    const first =
      before && (before.first ?? { verdict: before.verdict, at: before.at!, blinded: before.blinded! })
    all[key] = { ...ruling, blinded: d.blinded, ...(first ? { first } : {}) }
    own.set(d.work, all)
  })
  return [...own].map(([work, rulings]) => [rulings, said.get(work)] as const)
}

describe('agreement between readers', () => {
  it('is of what each said first, before it was settled, and where the later could not see the earlier', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 40 }), (deeds) => {
        const { pairs } = agreementAmong(after(deeds), 'broad')
        for (const [i, a] of READERS.entries())
          for (const b of READERS.slice(i + 1)) {
            // By walking the deeds: the place of the first ruling of each, and of the last settling.
            let [both, same, seen] = [0, 0, 0]
            for (let work = 0; work < 4; work++) {
              const of = (reader: string): number =>
                deeds.findIndex((d) => d.does === 'rule' && d.work === work && d.reader === reader)
              const settled = deeds.findLastIndex((d) => d.does === 'settle' && d.work === work)
              const [x, y] = [of(a), of(b)]
              if (x < 0 || y < 0 || (settled >= 0 && Math.max(x, y) > settled)) continue
              const [p, q] = [deeds[x]!, deeds[y]!] as Extract<Deed, { does: 'rule' }>[]
              if (!(x > y ? p! : q!).blinded) seen++
              else {
                both++
                if (p!.verdict === q!.verdict) same++
              }
            }
            const pair = pairs.find((p) => p.first === a && p.second === b)
            expect([pair?.both ?? 0, pair?.seen ?? 0]).toEqual([both, seen])
            if (both) expect(pair!.agreed).toBeCloseTo(same / both, 12)
          }
      }),
      { numRuns: trials(400, 20_000) },
    )
  })

  it('is told by what the numbers bear: nothing is beyond chance that is not', () => {
    const of = (table: number[][]): string => {
      const works = table.flatMap((row, i) =>
        row.flatMap((count, j) =>
          Array.from({ length: count }, () => {
            const ruling = (reader: string, n: number) => ({
              recordId: 'i/1',
              pass: 'broad' as const,
              reader,
              verdict: SAID[n]!,
            })
            return [{ 'broad/a': ruling('a', i), 'broad/b': ruling('b', j) }, undefined] as const
          }),
        ),
      )
      return agreementWords(agreementAmong(works, 'broad').pairs[0]!).join(' ')
    }
    expect(
      of([
        [40, 0, 5],
        [0, 0, 0],
        [6, 0, 49],
      ]),
    ).toContain('more than chance alone would give')
    expect(
      of([
        [20, 0, 20],
        [0, 0, 0],
        [22, 0, 20],
      ]),
    ).toContain('no more than chance alone might give')
    expect(
      of([
        [5, 0, 35],
        [0, 0, 0],
        [35, 0, 5],
      ]),
    ).toContain('less than chance alone would give')
    expect(
      of([
        [4, 0, 0],
        [0, 0, 0],
        [0, 0, 3],
      ]),
    ).toMatch(/1\.00; the works are too few/)
    expect(
      of([
        [4, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ]),
    ).toContain('cannot be reckoned')
  })
})
