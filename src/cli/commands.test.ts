import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { parseArguments } from './arguments'
import type { Outcome } from './command'
import { COMMANDS } from './commands'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-cli-'))
afterAll(() => rmSync(folder, { recursive: true }))
const file = (name: string, text: string): string => {
  const at = path.join(folder, name)
  writeFileSync(at, text)
  return at
}
const call = async (name: string, ...words: string[]): Promise<Outcome> =>
  COMMANDS[name]!.run(parseArguments(words, COMMANDS[name]!.options))
const json = async (name: string, ...words: string[]): Promise<Record<string, unknown>> =>
  JSON.parse((await call(name, ...words, '--json')).output!) as Record<string, unknown>

const RIS = file(
  'records.ris',
  'TY  - JOUR\nID  - a\nTI  - Noise and reading\nER  - \nTY  - JOUR\nID  - b\nTI  - Noise at sea\nER  - \n',
)

describe('searching on the command line', () => {
  it('searches the records of a RIS file', async () => {
    expect(await json('search', '--records', RIS, '--query', 'title: noise NOT sea')).toEqual({
      hits: 1,
      ids: ['a'],
    })
    expect((await call('search', '--records', RIS, '--query', 'noise')).output).toBe('2 hits\na\nb')
  })

  it('answers one query a line of a file, and fails where one cannot be read', async () => {
    const queries = file('queries.txt', 'noise\n\nreading\n(\n')
    const outcome = await call('search', '--records', RIS, '--queries', queries, '--json')
    expect((JSON.parse(outcome.output!) as { hits: number }[]).map((a) => a.hits)).toEqual([2, 1, 0])
    expect(outcome.exit).toBe(1)
    expect(outcome.errors!.join()).toContain('error:')
  })

  it('searches a stand-in in a release, with limits, as typed or in plain notation', async () => {
    const asked = ['--source', 'fernhollow', '--query', 'text: noise AND text: reading']
    const march = await json('standin', ...asked, '--release', '2026-03')
    const now = await json('standin', ...asked)
    expect([march.hits, now.hits]).toEqual([136, 148])
    const typed = await json(
      'standin',
      '--source',
      'fernhollow',
      '--as-typed',
      '--query',
      'tak{noise} and tak{reading}',
    )
    expect(typed.hits).toBe(148)
    const limited = await json('standin', ...asked, '--limit', 'years=2020-2026')
    expect(limited.hits).toBeLessThan(148)
  })

  it('says what is wrong with the call', async () => {
    await expect(call('search', '--query', 'noise')).rejects.toThrow('--records')
    await expect(call('search', '--records', path.join(folder, 'none.ris'), '--query', 'x')).rejects.toThrow(
      'could not be read',
    )
    await expect(call('translate', '--to', 'nowhere', '--query', 'x')).rejects.toThrow('no profile here')
  })
})

describe('translating on the command line', () => {
  it('writes plain notation for a database with what is lost, and reads it back with its limits', async () => {
    const { text, losses } = await json(
      'translate',
      '--to',
      'fernhollow',
      '--query',
      'title: (noise NEAR/3 reverberat*)',
    )
    expect(text).toBe('t{noise and reverberat%}')
    expect(losses).toMatchObject([{ direction: 'wider' }])
    expect(
      await json('read', '--from', 'fernhollow', '--query', 'tak{noise} and yr{2016..2026}'),
    ).toMatchObject({
      plain: 'title,abstract,keywords: noise',
      limits: [{ kind: 'years', from: 2016, to: 2026 }],
      problems: [],
    })
    expect((await call('read', '--from', 'fernhollow', '--query', 'L3 and yr{2016..2026}')).output).toBe(
      '#3 + 2016–2026',
    )
  })

  it('turns CQL into plain notation and back', async () => {
    expect((await call('cql', '--query', 'dc.title any "noise babble"')).output).toBe(
      'title: (noise OR babble)',
    )
    expect((await call('cql', '--plain', 'title: noise')).output).toContain('dc.title')
    await expect(call('cql', '--plain', 'a', '--query', 'b')).rejects.toThrow('not both')
  })

  it('fails where the query says nothing', async () => {
    for (const [name, ...words] of [
      ['parse', '--query', '('],
      ['read', '--from', 'girder', '--query', ')'],
      ['translate', '--to', 'girder', '--query', 'title:'],
    ] as const)
      expect((await call(name, ...words)).exit, name).toBe(1)
  })
})

describe('reading files on the command line', () => {
  const HISTORY = file(
    'history.txt',
    'Line\tStatement\tHits\n3\tL2 and yr{2016..2026}\t97\n2\tL1 and tak{reading}\t318\n1\ttak{noise}\t4 812\n',
  )

  it('reads a history by a profile, folded on request', async () => {
    const outcome = await call('history', '--from', 'fernhollow', '--file', HISTORY)
    expect(outcome).toMatchObject({ exit: 0, errors: [] })
    expect(outcome.output!.split('\n')).toEqual([
      '1\t4812\ttext: noise',
      '2\t318\t#1 AND text: reading',
      '3\t97\t#2 + 2016–2026',
    ])
    const { searches, newestFirst } = await json(
      'history',
      '--from',
      'fernhollow',
      '--file',
      HISTORY,
      '--fold',
    )
    expect(newestFirst).toBe(true)
    expect(searches).toMatchObject([
      { hits: 4812 },
      { plain: '#1 AND text: reading', hits: 97, limits: [{ kind: 'years' }] },
    ])
  })

  it('asks how a day is meant that may be two, and reads it as told', async () => {
    const name = file('days.txt', '1\ttak{noise}\t10\t03/12/2026\n2\ttak{reading}\t20\t03/12/2026\n')
    const asked = await call('history', '--from', 'fernhollow', '--file', name)
    expect(asked).toMatchObject({ exit: 0 })
    expect(asked.errors![0]).toContain('A day like 03/12/2026 can be read in two ways')
    const { searches } = await json('history', '--from', 'fernhollow', '--file', name, '--days', 'day-first')
    expect(searches).toMatchObject([{ when: '2026-12-03' }, { when: '2026-12-03' }])
    await expect(
      call('history', '--from', 'fernhollow', '--file', name, '--days', 'year-first'),
    ).rejects.toThrow('--days is day-first or month-first')
  })

  it('fails where no history is in a file', async () => {
    const outcome = await call(
      'history',
      '--from',
      'fernhollow',
      '--file',
      file('letter.txt', 'Dear colleague.'),
    )
    expect(outcome.exit).toBe(1)
    expect(outcome.errors![0]).toContain('copy the whole table')
  })

  it('counts what is in a vocabulary and names its breaches', async () => {
    const skos = 'http://www.w3.org/2004/02/skos/core#'
    const good = file('v.ttl', `@prefix s: <${skos}> .\n<u:a> a s:Concept ; s:prefLabel "Noise"@en .`)
    expect(await json('vocabulary', '--file', good)).toMatchObject({ breaches: [] })
    const twice = file(
      'w.ttl',
      `@prefix s: <${skos}> .\n<u:a> a s:Concept ; s:prefLabel "Noise"@en, "Sound"@en .`,
    )
    expect((await call('vocabulary', '--file', twice)).exit).toBe(1)
  })
})
