import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { parse } from '../../query'
import {
  adviseStem,
  judgeForms,
  Lexicon,
  lexiconText,
  spellingPairs,
  togetherOf,
  variantsOf,
  type Form,
} from '.'

const form = (text: string, count: number, near = 0): Form => ({ form: text, count, near })
const formsFrom =
  (all: readonly Form[]) =>
  (mask: string): Form[] =>
    all.filter((f) => f.form.startsWith(mask.replace('*', '')))

describe('what a truncated word really matches', () => {
  const read = [
    form('read', 300, 90),
    form('reading', 900, 400),
    form('reader', 40, 12),
    form('ready', 200, 4),
    form('readily', 120, 3),
    form('readiness', 60, 2),
  ]
  it('calls a form noise where its records lie far from the plan, and shows noise first', () => {
    const { forms } = adviseStem('read*', formsFrom(read))
    expect(forms.map((f) => [f.form, f.noise])).toEqual([
      ['ready', true],
      ['readily', true],
      ['readiness', true],
      ['reading', false],
      ['read', false],
      ['reader', false],
    ])
  })

  it('says that a stem was cut too short, with a stem or the forms to take instead', () => {
    expect(adviseStem('read*', formsFrom(read)).tooShort).toEqual({
      instead: '(reading OR read OR reader)',
      drops: ['ready', 'readily', 'readiness'],
    })
    const rev = [
      form('reverberation', 600, 300),
      form('reverberant', 140, 70),
      form('reversal', 200, 5),
      form('review', 900, 20),
    ]
    expect(adviseStem('rev*', formsFrom(rev)).tooShort?.instead).toBe('reverb*')
  })

  it('says that a stem was cut too long where it misses forms of the same word', () => {
    const rev = [
      form('reverberation', 600, 300),
      form('reverberant', 140, 70),
      form('reverberate', 12, 6),
      form('reverse', 50, 1),
    ]
    const { tooLong, tooShort } = adviseStem('reverberati*', formsFrom(rev))
    expect(tooLong).toEqual({
      instead: 'reverbera*',
      adds: [form('reverberant', 140, 70), form('reverberate', 12, 6)],
    })
    expect(tooShort).toBeUndefined()
    expect(adviseStem('reverb*', formsFrom(rev)).tooLong).toBeUndefined()
  })

  it('goes by the stems alone where no plan tells what is near', () => {
    expect(
      judgeForms([form('noise', 50), form('noises', 5), form('nose', 20)]).map((f) => [f.form, f.noise]),
    ).toEqual([
      ['nose', true],
      ['noise', false],
      ['noises', false],
    ])
    expect(adviseStem('zzz*', () => [])).toEqual({ forms: [] })
  })

  it('loses no form and invents none, whatever the counts', () => {
    const forms = fc.uniqueArray(
      fc.record({
        form: fc.stringMatching(/^[a-e]{2,6}$/),
        count: fc.integer({ min: 1, max: 50 }),
        near: fc.nat(1),
      }),
      { selector: (f) => f.form, maxLength: 12 },
    )
    fc.assert(
      fc.property(forms, fc.stringMatching(/^[a-e]{1,5}$/), (all, stem) => {
        const advice = adviseStem(`${stem}*`, formsFrom(all))
        const matched = all.filter((f) => f.form.startsWith(stem))
        expect(advice.forms.map((f) => f.form).sort()).toEqual(matched.map((f) => f.form).sort())
        for (const f of advice.tooLong?.adds ?? []) {
          expect(f.form.startsWith(stem)).toBe(false)
          expect(f.form.startsWith(advice.tooLong!.instead.slice(0, -1))).toBe(true)
        }
      }),
    )
  })
})

describe('other ways to write it', () => {
  const data = 'node_modules/american-british-english-translator/data'
  const table = (name: string): Record<string, string> =>
    JSON.parse(readFileSync(`${data}/${name}.json`, 'utf8')) as Record<string, string>
  const pairs = spellingPairs(table('american_spellings'), table('british_spellings'))
  const known = new Set(
    'sound field soundfield class room classroom classrooms behaviour behavior'.split(' '),
  )
  const of = (text: string): string[] =>
    variantsOf(parse(text).tree!, pairs, (w) => known.has(w)).map((v) => `${v.kind}: ${v.text}`)

  it('crosses the ocean both ways, for words, phrases and stems', () => {
    expect(of('behavior')).toContain('British spelling: behaviour')
    expect(of('behaviour')).toContain('American spelling: behavior')
    expect(of('"classroom behaviour"')).toContain('American spelling: "classroom behavior"')
    expect(of('behaviour*')).toContain('American spelling: behavior*')
    // Under this stem the two sides agree, or differ in more than one way.
    expect(of('organ*')).toEqual([])
  })

  it('knows closed and open forms only where the records have them', () => {
    expect(of('"sound field"')).toContain('closed: soundfield')
    expect(of('soundfield')).toContain('open or hyphenated: "sound field"')
    expect(of('classroom')).toContain('open or hyphenated: "class room"')
    expect(of('"sound level"')).not.toContain('closed: soundlevel')
  })

  it('offers plural, singular and an open ending', () => {
    expect(of('classroom')).toEqual(expect.arrayContaining(['plural: classrooms', 'any ending: classroom*']))
    expect(of('"primary schools"')).toContain('singular: "primary school"')
    expect(of('noise AND reading')).toEqual([])
  })
})

describe('words together', () => {
  it('are offered as a phrase, near each other and anywhere, from narrow to wide', () => {
    expect(togetherOf(parse('"speech perception"').tree!).map((t) => t.text)).toEqual([
      '"speech perception"',
      'speech NEAR/3 perception',
      'speech AND perception',
    ])
    expect(togetherOf(parse('noise').tree!)).toEqual([])
    expect(togetherOf(parse('noise OR babble').tree!)).toEqual([])
  })
})

describe('the lexicon', () => {
  it('reads the data files of WordNet (format: wndb(5WN)), the sense told by its broader word', () => {
    const text = lexiconText([
      [
        '  1 a line of the licence',
        '00000001 09 n 01 sound 0 000 | what is heard',
        '00000002 09 n 03 noise 0 dissonance 0 Racket_ball 0 001 @ 00000001 n 0000 | loud',
        '00000003 09 n 01 lonely 0 001 @ 00000001 n 0000 | one word only',
      ].join('\n'),
    ])
    expect(text).toBe('noise;dissonance;racket ball\tsound\n')
    const lexicon = new Lexicon(text)
    expect(lexicon.senses('noise')).toEqual([{ words: ['dissonance', 'racket ball'], broader: 'sound' }])
    expect(lexicon.senses('lonely')).toEqual([])
  })
})
