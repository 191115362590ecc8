import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { buildIndex, evaluate } from '../engine'
import { hasErrors } from '../base'
import { parse, print, walk, withoutPlaces, type Expr } from '../query'
import { anyExpression, searchExpression } from '../query/expressions.arbitrary'
import { toDocument } from '../records'
import { allWorks } from '../../standins/corpus/releases'
import { fernhollowRecord } from '../../standins/corpus/catalogue'
import { Random } from '../../standins/corpus/random'
import { adapt, printFor, readFrom, readProfile, write } from '.'

const profiles = Object.values(PROFILES)
const below: Record<string, string[]> = { Reading: ['Reading', 'Reading fluency'], Pupils: ['Pupils'] }
const options = { withNarrower: (label: string) => below[label] ?? [label] }

/** The tree as a database's text can carry it: fields by their names, groups spelled out, no marks of how it was read. */
function plain(e: Expr): Expr {
  const fields = (f: readonly string[]): string[] =>
    [...new Set(f.flatMap((x) => (x === 'text' ? ['title', 'abstract', 'keywords'] : [x])))].sort()
  return JSON.parse(
    JSON.stringify(withoutPlaces(e), (key, value: unknown) =>
      key === 'fields' ? fields(value as string[]) : value,
    ),
  ) as Expr
}

const index = buildIndex(
  allWorks()
    .slice(0, 400)
    .map(({ study, prose }) =>
      toDocument(
        fernhollowRecord(study, prose, {
          random: new Random(study.number),
          history: { since: () => undefined, broader: () => undefined },
          unindexedFrom: '2099-01',
        }),
      ),
    ),
)
const docs = (e: Expr): number[] => [
  ...evaluate(index, e, { headings: (l, b) => (b ? (below[l] ?? [l]) : [l]).map((x) => x.toLowerCase()) })
    .docs,
]

describe.each(profiles.map((p) => [p.id, p] as const))('%s', (id, profile) => {
  it('reads back what was printed for it, up to the losses that were named (law 1)', () => {
    // A database without lines has no text for a reference; that loss is named, and there is nothing to read back.
    const source = profile.lines ? anyExpression : searchExpression
    fc.assert(
      fc.property(source, (e) => {
        const { tree } = adapt(e, profile, options)
        const back = readFrom(write(tree, profile), profile)
        expect(hasErrors(back.problems), write(tree, profile)).toBe(false)
        expect(plain(back.tree!), write(tree, profile)).toEqual(plain(tree))
      }),
      { numRuns: 600 },
    )
  })

  it('finds at least as much after wider losses, at most as much after narrower ones, the same after none', () => {
    let [wider, narrower, same] = [0, 0, 0]
    fc.assert(
      fc.property(searchExpression, (e) => {
        // The default fields differ between databases; only what names its fields can be compared.
        const asked: Expr = { kind: 'fields', fields: ['title', 'abstract'], of: e }
        fc.pre([...walk(e)].every((p) => p.kind !== 'fields' || !p.fields.includes('any')))
        const { said, losses } = printFor(asked, profile, options)
        const kinds = new Set(losses.map((l) => l.direction))
        if (kinds.has('changed') || (kinds.has('wider') && kinds.has('narrower'))) return
        const [was, is] = [docs(asked), docs(said)]
        if (kinds.has('wider')) {
          wider++
          expect(is).toEqual(expect.arrayContaining(was))
        } else if (kinds.has('narrower')) {
          narrower++
          expect(was).toEqual(expect.arrayContaining(is))
        } else {
          same++
          expect(is).toEqual(was)
        }
      }),
      { numRuns: 400 },
    )
    expect(wider + narrower + same, id).toBeGreaterThan(20)
  })

  it('reads any text without throwing', () => {
    const signs = fc
      .array(
        fc.constantFrom(
          'a',
          'noise',
          '"',
          "'",
          '(',
          ')',
          '[',
          ']',
          '{',
          '}',
          '<',
          '>',
          '&',
          '|',
          '!',
          ' AND ',
          ' or ',
          ' not ',
          '/3/',
          '<2>',
          'near3',
          'h{',
          'TITLE[',
          '^',
          '~2',
          '%',
          '@3',
          'row2',
        ),
        { maxLength: 25 },
      )
      .map((p) => p.join(''))
    fc.assert(
      fc.property(fc.oneof(signs, fc.string({ unit: 'binary' })), (text) => {
        readFrom(text, profile)
      }),
      { numRuns: 800 },
    )
  })

  it('reads a hundred thousand brackets', () => {
    const { problems } = readFrom(profile.brackets.open.repeat(100_000), profile)
    expect(problems.length).toBeGreaterThan(0)
    expect(problems.length).toBeLessThan(300)
  })
})

describe('what one text means in two databases', () => {
  const understood = (id: string, text: string): string => print(readFrom(text, PROFILES[id]!).tree!)

  it('takes words side by side as all of them here and as a phrase there', () => {
    expect(understood('fernhollow', 'sound field')).toBe('sound AND field')
    expect(understood('girder', 'sound field')).toBe('~"sound field"')
  })

  it('binds mixed operators from left to right, or OR first', () => {
    expect(understood('fernhollow', 'a and b or c')).toBe('(a AND b) OR c')
    expect(understood('fernhollow', 'a or b and c')).toBe('(a OR b) AND c')
    expect(understood('mindmere', 'a or b and c')).toBe('a OR (b AND c)')
    expect(understood('wideband', 'a AND b OR c')).toBe('a AND (b OR c)')
  })

  it('takes small operators for words where only capitals count', () => {
    expect(understood('quayside', 'noise and sound')).toBe('noise AND "and" AND sound')
    expect(understood('quayside', 'noise AND sound')).toBe('noise AND sound')
    expect(understood('mindmere', 'noise And sound')).toBe('noise AND sound')
  })

  it('counts words between, or steps', () => {
    expect(understood('mindmere', 'noise near1 sound')).toBe('noise NEAR/0 sound')
    expect(understood('girder', 'noise <1> sound')).toBe('noise NEAR/1 sound')
    expect(printFor(parse('noise THEN/2 sound').tree!, PROFILES.mindmere!).text).toBe('noise then3 sound')
  })
})

describe('printing', () => {
  it('names what is lost, in which direction, and what to do', () => {
    const { text, losses } = printFor(parse('text: (sound NEAR/3 absorb*1)').tree!, PROFILES.fernhollow!)
    expect(text).toBe('tak{sound and absorb%}')
    expect(losses.map((l) => [l.what, l.direction, l.was])).toEqual([
      ['truncation', 'wider', 'absorb*1'],
      ['nearness', 'wider', 'sound NEAR/3 absorb*1'],
    ])
    for (const l of losses) expect(l.advice.length).toBeGreaterThan(10)
  })

  it('turns the direction round under NOT', () => {
    const { losses } = printFor(parse('noise NOT (sound NEAR/3 field)').tree!, PROFILES.fernhollow!)
    expect(losses).toMatchObject([{ what: 'nearness', direction: 'narrower' }])
  })

  it('splits what is too long over rows and cuts nothing', () => {
    const words = Array.from({ length: 120 }, (_, i) => `word${i}`)
    const { text, losses } = printFor(parse(words.join(' OR ')).tree!, PROFILES.quayside!)
    expect(text.split('\n').length).toBeLessThan(8)
    expect(text.match(/word\d+/g)).toEqual(words)
    expect(losses.at(-1)).toMatchObject({ what: 'length', direction: 'changed' })
  })

  it('sends names, numbers and words with hyphens as they were typed, and reads them back so', () => {
    const profile = PROFILES.fernhollow!
    for (const typed of ['"Osei, M."', '"O’Neil"', '"10.5555/room.12.3"', '"open-plan-school"', '"R & D"']) {
      const { text, losses } = printFor(parse(typed).tree!, profile)
      expect(text).toBe(typed.replaceAll('"', "'"))
      expect(losses).toEqual([])
      expect(print(readFrom(text, profile).tree!)).toBe(typed)
    }
    // What would be taken for something else there goes: its sign for any ending is no part of a name.
    const star = { ...profile, truncation: { ...profile.truncation, any: '&' } }
    expect(printFor(parse('"R & D"').tree!, star).text).toBe("'R D'")
    expect(printFor(parse('class: B12.a').tree!, PROFILES.wideband!).text).toBe('"B12.a"')
  })

  it('lists the narrower headings as phrases where there is no vocabulary', () => {
    const { text } = printFor(parse('heading.below: "Reading"').tree!, PROFILES.wideband!, options)
    expect(text).toBe('OWNWORDS["reading"] OR OWNWORDS["reading fluency"]')
  })
})

describe('a profile from a file', () => {
  it('is refused with the place of each mistake', () => {
    const broken = {
      ...PROFILES.girder,
      id: 'Not Good',
      fields: [{ of: ['title'], form: 'no slot' }],
      surprise: 1,
    }
    const read = readProfile(broken)
    expect(read.ok).toBe(false)
    expect(read.problems.map((p) => p.at)).toEqual(
      expect.arrayContaining(['id', 'fields.0.form', 'the file']),
    )
    expect(read.problems.map((p) => p.message).join(' ')).toContain('must hold {expr} exactly once')
  })

  it('is any value at all without throwing, and what is wrong is said in plain words', () => {
    const broken = (v: unknown): unknown => ({
      ...PROFILES.girder,
      ...(typeof v === 'object' ? v : { kind: v }),
    })
    fc.assert(
      fc.property(
        fc.oneof(
          fc.anything(),
          fc.anything().map(broken),
          fc.dictionary(fc.constantFrom(...Object.keys(PROFILES.girder!)), fc.anything()).map(broken),
        ),
        (v) => {
          const read = readProfile(v)
          for (const { message } of read.ok ? [] : read.problems)
            // The names of parts that are not known are quoted from the file, and may be any words.
            expect(message.replace(/not known here: .*/s, '')).not.toMatch(
              /expected|invalid|received|undefined|NaN|\[object/i,
            )
        },
      ),
    )
  })
})
