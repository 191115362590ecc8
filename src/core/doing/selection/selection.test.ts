import { describe, expect, it } from 'vitest'
import { held } from '../../base'
import { tell } from '../../figures'
import { emptyRecord } from '../../records'
import {
  askedNow,
  fold,
  nextEntry,
  worksOf,
  type Command,
  type Entry,
  type Retrieval,
  type Review,
  type Ruling,
} from '../../review'
import { askedBy, asksAgain, toAskAgain, touchedByChange } from '../../selection'
import {
  noticedTitle,
  sayNotice,
  ruleWork,
  retrieve,
  settle,
  keepText,
  asksWhereHad,
  outBy,
  type DoingAt,
  type RulingMade,
} from '..'

const AT = '2026-11-25T09:00:00.000Z'
const RECORDS = ['1', '2', '3'].map((id) => emptyRecord(id, `Title ${id}`))
const question = (id: string, text: string): Command => ({
  kind: 'criterion.set',
  payload: { id, text, pass: 'broad', sense: 'in' },
})
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  question('c1', 'Was sound measured?'),
  question('c2', 'Are the listeners children?'),
  { kind: 'records.import', payload: { id: 'i', sourceId: 's', digest: 'a'.repeat(64), count: 3, at: AT } },
]
class Diary {
  entries: Entry[] = []
  constructor(commands: readonly Command[] = BEGUN) {
    this.do('P', commands)
  }
  do(by: string, commands: readonly Command[]): void {
    for (const command of commands) {
      const n = this.entries.length
      const at = new Date(Date.parse(AT) + n * 60_000).toISOString()
      this.entries.push(
        nextEntry(this.entries.at(-1), command, { at, by, salt: n.toString(16).padStart(32, '0') }),
      )
    }
  }
  get review(): Review {
    const { review, problems } = fold(this.entries)
    expect(problems).toEqual([])
    return review
  }
  get ruled() {
    return tell(
      this.review,
      worksOf(this.review, () => RECORDS),
    ).ruled
  }
  at(person: string): DoingAt {
    return { review: this.review, now: AT, newId: () => 'new', person }
  }
  rule(
    person: string,
    n: number,
    verdict: Ruling['verdict'],
    more: Partial<RulingMade> = {},
  ): readonly Command[] {
    const { ruled } = this
    const made = ruleWork(this.at(person), {
      work: ruled.works.works[n]!,
      ruled,
      pass: 'broad',
      verdict,
      ...more,
    })
    this.do(person, made)
    return made
  }
}

describe('ruling a work', () => {
  it('carries the questions as they were shown, and whether another’s ruling could be seen', () => {
    const diary = new Diary()
    const [first] = diary.rule('P', 0, 'in')
    expect(first).toMatchObject({
      payload: { reader: 'P', blinded: true, asked: askedNow(diary.review, 'broad') },
    })
    const [second] = diary.rule('Q', 0, 'out', { criterionId: 'c1' })
    expect(second).toMatchObject({ payload: { blinded: false, criterionId: 'c1' } })
  })

  it('is no deed where it says once more what was said, and is one where another question was asked', () => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    expect(diary.rule('P', 0, 'in')).toEqual([])
    diary.do('P', [question('c1', 'Was noise measured?')])
    expect(diary.rule('P', 0, 'in')).toHaveLength(1)
  })

  it('notes where the full text was had in the same press, and says it of the ruling where none is noted', () => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    const made = diary.rule('P', 0, 'in', { pass: 'close', had: 'subscription' })
    expect(made.map((c) => c.kind)).toEqual(['retrieval.set', 'ruling.set'])
    expect(made[1]).toMatchObject({ payload: { text: 'subscription' } })
    expect(diary.rule('P', 1, 'in', { pass: 'close', had: 'none noted' })).toMatchObject([
      { kind: 'ruling.set', payload: { text: 'none noted' } },
    ])
    const noted = (state: Retrieval['state']): Retrieval => ({ recordId: 'i/1', state })
    expect(asksWhereHad('close', undefined)).toBe(true)
    expect(asksWhereHad('close', noted('loan asked'))).toBe(true)
    expect(asksWhereHad('close', noted('have'))).toBe(false)
    expect(asksWhereHad('broad', undefined)).toBe(false)
  })

  it('keeps what its reader said first, whatever they say later', () => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    diary.rule('P', 0, 'out', { criterionId: 'c1' })
    diary.rule('P', 0, 'unsure')
    const { verdict, first } = held(diary.review.rulings, 'i/1')!['broad/P']!
    expect([verdict, first?.verdict]).toEqual(['unsure', 'in'])
  })

  it('knows by which answers a work goes out', () => {
    const { criteria } = new Diary().review
    expect(outBy(criteria, { c1: 'yes', c2: 'no' }).map((c) => c.id)).toEqual(['c2'])
    expect(outBy(criteria, { c1: 'cannot tell' })).toEqual([])
  })
})

describe('criteria that change half-way', () => {
  const changed = (): Diary => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    diary.rule('P', 1, 'out', { criterionId: 'c1' })
    diary.rule('P', 2, 'out', { criterionId: 'c2' })
    diary.rule('Q', 1, 'out', { reason: 'no study' })
    diary.do('P', [question('c1', 'Was sound measured in a classroom?')])
    return diary
  }

  it('ask again for the rulings that hung on what reads otherwise, of every reader, and for no others', () => {
    const diary = changed()
    expect(touchedByChange(diary.review, 'broad')(diary.ruled)).toEqual([{ reader: 'P', rulings: 2 }])
    expect(toAskAgain(diary.review, diary.ruled, 'broad')).toEqual([])
    diary.do('P', [{ kind: 'criteria.version', payload: { id: 'v', name: 'second', at: AT } }])
    expect(toAskAgain(diary.review, diary.ruled, 'broad')).toEqual([{ reader: 'P', works: ['i/1', 'i/2'] }])
    expect(touchedByChange(diary.review, 'broad')(diary.ruled)).toEqual([])
    diary.rule('P', 0, 'in')
    expect(toAskAgain(diary.review, diary.ruled, 'broad')).toEqual([{ reader: 'P', works: ['i/2'] }])
  })

  it('ask nothing again where words were changed and changed back', () => {
    const diary = changed()
    diary.do('P', [question('c1', 'Was sound measured?')])
    expect(touchedByChange(diary.review, 'broad')(diary.ruled)).toEqual([])
  })

  it('ask again for what went by a question that is gone, and for what stayed when one was added', () => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    diary.rule('P', 1, 'out', { criterionId: 'c2' })
    const by = (commands: Command[]): boolean[] => {
      const other = new Diary()
      other.do('P', commands)
      const now = askedBy({ criteria: other.review.criteria }, 'broad')
      return ['i/1', 'i/2'].map((id) => asksAgain(held(diary.ruled.byWork, id)!['broad/P']!, now))
    }
    expect(by([{ kind: 'criterion.remove', payload: { id: 'c2' } }])).toEqual([true, true])
    expect(by([question('c3', 'Is it a study?')])).toEqual([true, false])
    expect(by([])).toEqual([false, false])
  })
})

describe('what is noted of a full text', () => {
  const at = new Diary().at('P')
  const payloadOf = (commands: readonly Command[]) => commands[0]!.payload
  it('keeps the day on which a loan was asked for, ends it with the file, and has a reason only where it was not to be had', () => {
    const asked = payloadOf(
      retrieve(at, { recordId: 'i/1', before: undefined, state: 'loan asked' }),
    ) as Retrieval
    expect(asked).toMatchObject({ asked: '2026-11-25', due: '2026-11-30' })
    const before = { ...asked, asked: '2026-11-20' }
    expect(
      payloadOf(retrieve(at, { recordId: 'i/1', before, state: 'loan asked', due: '2026-12-03' })),
    ).toMatchObject({
      asked: '2026-11-20',
      due: '2026-12-03',
    })
    const file = { name: 'a.pdf', mediaType: 'application/pdf', size: 3, digest: 'b'.repeat(64) }
    expect(payloadOf(keepText(at, { recordId: 'i/1', before, file }))).toEqual({
      recordId: 'i/1',
      state: 'have',
      file,
    })
    const gone = payloadOf(
      retrieve(at, { recordId: 'i/1', before, state: 'not to be had', why: ' too dear ' }),
    ) as Retrieval
    expect(gone).toEqual({ recordId: 'i/1', state: 'not to be had', why: 'too dear' })
    // What stands so already is no deed, by whomever it was noted.
    const noted = { ...gone, at: '2026-11-25T09:00:00Z', who: 'P' }
    expect(retrieve(at, { recordId: 'i/1', before: noted, state: 'not to be had' })).toEqual([])
    expect(payloadOf(retrieve(at, { recordId: 'i/1', before: gone, state: 'wanted' }))).toEqual({
      recordId: 'i/1',
      state: 'wanted',
    })
  })
})

describe('settling', () => {
  it('settles several works at once, by whom, how and after what', () => {
    const diary = new Diary()
    diary.rule('P', 0, 'in')
    diary.rule('Q', 0, 'out')
    const commands = settle(diary.at('Q'), {
      ids: ['i/1', 'i/2'],
      pass: 'broad',
      verdict: 'out',
      criterionId: 'c1',
      after: 'third person',
      how: ' ',
    })
    expect(commands).toMatchObject([
      { payload: { recordId: 'i/1', also: ['i/2'], by: 'Q', how: 'by a third person', criterionId: 'c1' } },
    ])
    diary.do('Q', commands)
    expect(Object.keys(diary.review.settlements ?? {})).toEqual(['i/1', 'i/2'])
    expect(settle(diary.at('Q'), { ids: [], pass: 'broad', verdict: 'in', after: 'talk', how: '' })).toEqual(
      [],
    )
  })
})

describe('a notice', () => {
  it('is known by its title, with what the other work is called', () => {
    expect(noticedTitle('Retraction: Sound in rooms')).toBe('Sound in rooms')
    expect(noticedTitle('Correction to “Sound in rooms”')).toBe('Sound in rooms')
    expect(noticedTitle('Retraction Note: Sound in rooms')).toBe('Sound in rooms')
    expect(noticedTitle('Erratum')).toBeUndefined()
    expect(noticedTitle('Corrections of hearing in class')).toBeUndefined()
  })

  it('is counted as removed for that reason, and its work stays', () => {
    const diary = new Diary()
    diary.do('P', sayNotice(diary.at('P'), { notice: 'i/1', of: 'i/2' }))
    const { figures } = tell(
      diary.review,
      worksOf(diary.review, () => RECORDS),
    )
    const [column] = figures.flow.rounds[0]!.columns
    expect(column).toMatchObject({ removed: 1, removedReasons: [{ reason: 'notice', count: 1 }], unread: 2 })
    expect(sayNotice(diary.at('P'), { notice: 'i/1', of: 'i/1' })).toEqual([])
  })
})
