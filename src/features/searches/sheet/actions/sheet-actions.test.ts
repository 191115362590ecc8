import { describe, expect, it } from 'vitest'
import type { FactContext } from '@/core/account'
import type { Doing } from '@/core/doing'
import { emptyReview, type Line, type Review } from '@/core/review'
import type { Store } from '@/store/store'
import { sourceInfo } from '@/standins/source-info'
import type { Sheet, SheetDialog } from '../use-sheet'
import { line, run } from '../sheet.fixture'
import { sheetView } from '../sheet-lines'
import { bringActions } from './bring-actions'
import { joinActions } from './join-actions'
import { lineActions, lineSteps } from './line-actions'
import { work, type Means } from './means'
import { runActions } from './run-actions'

const YEARS = { kind: 'years' as const, from: 2017, to: 2026 }
const LINES = [
  line('a', 'text: noise', { conceptId: 'b' }),
  line('b', 'text: babble', { conceptId: 'b' }),
  line('c', 'text: reading', { conceptId: 'c' }),
  line('d', 'all(#1, #3)'),
]

interface Setting {
  lines?: Line[]
  chosen?: string
  marked?: string[]
  runs?: string[]
  busy?: boolean
  /** Whether the source can be searched from here. */
  outside?: boolean
}

/** A sheet as it would stand, and what was done with it. */
function stage({ lines = LINES, chosen, marked = [], runs = [], busy, outside }: Setting = {}) {
  const review: Review = {
    ...emptyReview('r'),
    limits: [{ id: 'l1', limit: YEARS, reason: '' }],
    sources: [
      {
        id: 's',
        kind: 'database',
        name: 'Fernhollow Education Index',
        why: '',
        ...(outside ? {} : { profileId: 'fernhollow' }),
      },
    ],
    strategies: { s: lines },
    runs: runs.map((id) => run(lines, id, 7, '2026-11-02T09:00:00Z')),
  }
  const info = sourceInfo(review, review.sources[0]!)
  const done = {
    acts: [] as { kind: string; payload: unknown }[],
    said: [] as string[],
    asked: [] as { title: string; onOk: () => void }[],
    chosen: undefined as string | undefined,
    editing: undefined as string | undefined,
    marked: new Set(marked) as ReadonlySet<string>,
    dialog: undefined as SheetDialog | undefined,
    busy: [] as (string | undefined)[],
    stop: undefined as (() => void) | undefined,
    waiting: [] as PromiseLike<unknown>[],
  }
  const view = sheetView(review, info)
  const sheet: Sheet = {
    review,
    info,
    lines,
    view,
    chosen: lines.find((l) => l.id === chosen),
    chosenByHand: true,
    at: lines.findIndex((l) => l.id === chosen),
    stale: lines.filter((l) => !view.runs.has(l.id)).length,
    marked: new Set(marked),
    editing: undefined,
    dialog: undefined,
    busy: busy ? { words: 'Searching …', stop: () => undefined } : undefined,
    problems: new Map(),
    set: {
      choose: (id) => (done.chosen = id),
      mark: (ids) => (done.marked = ids),
      toggle: (id) => (done.marked = new Set([...marked, id])),
      edit: (id) => (done.editing = id),
      dialog: (dialog) => (done.dialog = dialog),
      busy: (b) => {
        done.busy.push(b?.words)
        done.stop = b?.stop
      },
      outcome: () => undefined,
    },
  }
  const say = (words: string) => {
    done.said.push(words)
    return Promise.resolve(true)
  }
  let ids = 0
  const means = {
    store: {
      newId: () => `new${++ids}`,
      deed: (p: PromiseLike<unknown>) => done.waiting.push(p),
      doIt: <In>(doing: Doing<In>, input: In) => {
        done.acts.push(...doing({ review, now: '', newId: () => `new${++ids}`, person: 'p-1' }, input))
        return Promise.resolve()
      },
    } as unknown as Store,
    message: { info: say, error: say, success: say, warning: say },
    modal: { confirm: (what: { title: string; onOk: () => void }) => done.asked.push(what) },
    context: {} as FactContext,
  } as unknown as Means
  return { sheet, means, done }
}

const added = (acts: readonly { kind: string; payload: unknown }[]) =>
  acts.map(({ kind, payload }) => ({ kind, ...(payload as { line?: Line; at?: number }) }))

describe('What can be done with a sheet', () => {
  it('joins the marked lines by number, keeps a concept only if all of them have it, and takes the marks away', () => {
    const same = stage({ marked: ['b', 'a'] })
    joinActions(same.sheet, same.means).any.run()
    expect(added(same.done.acts)).toMatchObject([
      { kind: 'line.add', at: 4, line: { text: 'any(#1-#2)', conceptId: 'b' } },
    ])
    expect([...same.done.marked]).toEqual([])
    expect(same.done.chosen).toBe('new1')

    const mixed = stage({ marked: ['a', 'c'] })
    joinActions(mixed.sheet, mixed.means).all.run()
    expect(added(mixed.done.acts)[0]!.line).toMatchObject({ text: 'all(#1, #3)' })
    expect(added(mixed.done.acts)[0]!.line).not.toHaveProperty('conceptId')

    const less = stage({ marked: ['a', 'd'] })
    joinActions(less.sheet, less.means).subtract.run()
    expect(added(less.done.acts)[0]!.line!.text).toBe('#1 NOT #4')
  })

  it('offers joining only while several lines are marked', () => {
    for (const marked of [[], ['a'], ['a', 'b']]) {
      const { any, all, subtract } = joinActions(...both(stage({ marked })))
      expect([any, all, subtract].map((a) => a.when())).toEqual(Array(3).fill(marked.length > 1))
    }
  })

  it('applies the next planned limit to the line that counts, as a line of its own, until none is missing', () => {
    const { sheet, means, done } = stage()
    joinActions(sheet, means).limit.run()
    expect(added(done.acts)).toMatchObject([{ kind: 'line.add', line: { text: '#4', limits: [YEARS] } }])
    const whole = stage({ lines: [...LINES, line('e', '#4', { limits: [YEARS] })], runs: ['e'] })
    expect(joinActions(whole.sheet, whole.means).limit.when()).toBe(false)
  })

  it('takes out what nothing depends on at once, and asks before taking out what others refer to', () => {
    const last = stage({ chosen: 'd' })
    lineActions(last.sheet, last.means).remove.run()
    expect(last.done.acts).toEqual([{ kind: 'lines.remove', payload: { sourceId: 's', ids: ['d'] } }])
    expect(last.done.asked).toEqual([])

    const needed = stage({ chosen: 'a' })
    lineActions(needed.sheet, needed.means).remove.run()
    expect(needed.done.acts).toEqual([])
    expect(needed.done.asked[0]!.title).toBe('Line #4 depends on this')
    needed.done.asked[0]!.onOk()
    expect(needed.done.acts).toEqual([{ kind: 'lines.remove', payload: { sourceId: 's', ids: ['a', 'd'] } }])
  })

  it('moves a line, and says why it cannot stand above what it refers to', () => {
    const free = stage({ chosen: 'b' })
    lineActions(free.sheet, free.means).moveUp.run()
    expect(free.done.acts).toEqual([{ kind: 'line.move', payload: { sourceId: 's', id: 'b', to: 0 } }])
    const bound = stage({ chosen: 'd' })
    lineActions(bound.sheet, bound.means).moveUp.run()
    expect(bound.done.acts).toEqual([])
    expect(bound.done.said).toEqual(['Line 4 refers to #3 and has to stand below.'])
  })

  it('puts a new line below the chosen one and opens it', () => {
    const { sheet, means, done } = stage({ chosen: 'b' })
    lineActions(sheet, means).add.run()
    expect(added(done.acts)).toMatchObject([{ kind: 'line.add', at: 2, line: { id: 'new1', text: '' } }])
    expect(done.editing).toBe('new1')
    const empty = stage({ lines: [] })
    lineActions(empty.sheet, empty.means).describe.run()
    expect(added(empty.done.acts)).toMatchObject([{ at: 0, line: { text: '', described: '' } }])
  })

  it('offers running only where a source is searched from here, while nothing is under way', () => {
    const when = (setting: Setting) => {
      const { run, runAll, runOne } = runActions(...both(stage(setting)))
      return [run, runAll, runOne].map((a) => a.when())
    }
    expect(when({ chosen: 'a' })).toEqual([true, true, true])
    expect(when({})).toEqual([true, true, false])
    expect(when({ runs: ['a', 'b', 'c', 'd'] })).toEqual([false, true, false])
    for (const none of [{ busy: true }, { outside: true }, { lines: [] }])
      expect(when({ chosen: 'a', ...none })).toEqual([false, false, false])
    expect(runActions(...both(stage({ runs: ['a'] }))).run.label).toBe('Run 3 lines')
  })

  it('brings the records in only of a line that was run as it stands', () => {
    const when = (setting: Setting) => bringActions(...both(stage(setting))).bring.when()
    expect(when({ chosen: 'a', runs: ['a'] })).toBe(true)
    expect(when({ chosen: 'b', runs: ['a'] })).toBe(false)
    expect(when({ chosen: 'a', runs: ['a'], busy: true })).toBe(false)
    expect(when({ chosen: 'a', runs: ['a'], outside: true })).toBe(false)
  })

  it('says that there is nothing to draft from rather than drafting nothing', () => {
    const { sheet, means, done } = stage({ lines: [] })
    bringActions(sheet, means).draft.run()
    expect(done.acts).toEqual([])
    expect(done.said).toEqual(['There is nothing to draft from yet: put terms into the grid first.'])
  })

  it('says what failed while something took its time, and is idle again', async () => {
    const { sheet, means, done } = stage()
    work(means, sheet, 'Searching …', () => Promise.reject(new Error('The index could not be read.')))()
    await Promise.all(done.waiting)
    expect(done.said).toEqual(['The index could not be read.'])
    expect(done.busy).toEqual(['Searching …', undefined])
  })

  it('tells what is under way that it was stopped', async () => {
    const { sheet, means, done } = stage()
    const seen: boolean[] = []
    work(means, sheet, 'Searching …', async (stopped, show) => {
      seen.push(stopped())
      show('Line 1 of 4 …')
      done.stop!()
      await Promise.resolve()
      seen.push(stopped())
    })()
    await Promise.all(done.waiting)
    expect(seen).toEqual([false, true])
    expect(done.busy).toEqual(['Searching …', 'Line 1 of 4 …', undefined])
  })

  it('has one id and one key for each thing that can be done', () => {
    const at = both(stage())
    const all = [
      ...Object.values({
        ...runActions(...at),
        ...lineActions(...at),
        ...joinActions(...at),
        ...bringActions(...at),
      }),
      ...lineSteps(at[0]),
    ]
    expect(all).toHaveLength(28)
    expect(new Set(all.map((a) => a.id)).size).toBe(all.length)
    expect(new Set(all.map((a) => a.key)).size).toBe(all.length)
  })
})

function both({ sheet, means }: ReturnType<typeof stage>): [Sheet, Means] {
  return [sheet, means]
}
