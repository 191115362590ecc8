import { App } from 'antd'
import { useMemo } from 'react'
import { strategyText } from '@/core/account'
import { plural, thousands } from '@/core/base'
import type { LimitValue } from '@/core/query'
import type { Line, Review } from '@/core/review'
import { dependsOn, finalNumber, joinText, moveLine, subtractText } from '@/core/strategy'
import type { Action } from '@/store/actions'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/store/source-info'
import { useFactContext } from '@/store/use-account'
import { addLine } from './add-line'
import { nextLimit } from '../panes/ledger'
import { draftFor } from '../history/redraft-dialog'
import { bringRecords, partsOf, type Place } from '../outside/bring-records'
import { runLines, type RunOutcome, type Which } from './run'
import type { SheetView } from './sheet-lines'

export interface Busy {
  words: string
  stop: () => void
}

interface Sheet {
  review: Review
  info: SourceInfo
  lines: readonly Line[]
  view: SheetView
  chosen: Line | undefined
  marked: ReadonlySet<string>
  busy: Busy | undefined
  set: {
    choose: (id: string | undefined) => void
    mark: (marked: ReadonlySet<string>) => void
    edit: (id: string | undefined) => void
    busy: (busy: Busy | undefined) => void
    outcome: (outcome: RunOutcome) => void
    redraft: () => void
    carry: () => void
    history: () => void
  }
}

/** Everything that can be done with a sheet: one list for keys, buttons and palette. */
export function useSheetActions({ review, info, lines, view, chosen, marked, busy, set }: Sheet): Action[] {
  const store = useStore()
  const { act, deed, newId } = store
  const { message, modal } = App.useApp()
  const context = useFactContext()
  return useMemo<Action[]>(() => {
    const { source } = info
    const at = lines.findIndex((l) => l.id === chosen?.id)
    const idle = (): boolean => busy === undefined
    const some = (): boolean => chosen !== undefined && idle()
    const runs = (): boolean => info.standin !== undefined && idle() && lines.length > 0
    const stale = lines.filter((l) => !view.runs.has(l.id)).length
    const numbers = lines.flatMap((l, i) => (marked.has(l.id) ? [i + 1] : []))

    const add = (text: string, more: Partial<Line> = {}, place = lines.length): string => {
      const id = addLine(store, source.id, lines, text, more, place)
      set.choose(id)
      return id
    }
    const join = (text: string): void => {
      const concepts = new Set(lines.filter((l) => marked.has(l.id)).map((l) => l.conceptId))
      const [only] = concepts
      add(text, concepts.size === 1 && only ? { conceptId: only } : {})
      set.mark(new Set())
    }
    const work =
      (words: string, job: (stopped: () => boolean, show: (now: string) => void) => Promise<unknown>) =>
      (): void => {
        let stopped = false
        const stop = (): void => {
          stopped = true
        }
        const show = (now: string): void => set.busy({ words: now, stop })
        show(words)
        deed(
          job(() => stopped, show)
            .catch((error: unknown) => message.error(error instanceof Error ? error.message : String(error)))
            .finally(() => set.busy(undefined)),
        )
      }
    const run = (which: Which): (() => void) =>
      work('Searching …', async (stopped, show) => {
        const outcome = await runLines(store, source, which, (done, of) => {
          show(`Line ${done} of ${of} …`)
          return !stopped()
        })
        set.outcome(outcome)
        if (outcome.stopped)
          message.info(`Stopped; ${plural(outcome.logged, 'line was', 'lines were')} run before.`)
      })
    const brings = (): boolean => some() && info.standin !== undefined && view.runs.has(chosen!.id)
    const bring = (place: Place): (() => void) =>
      work('Bringing records in …', async () => {
        const { count, hits } = await bringRecords(store, source, chosen!, place)
        const all = partsOf(store, source.id).reduce((n, i) => n + i.count, 0)
        if (count === hits)
          message.success(
            `${thousands(count)} records are in the review${all > count ? `, ${thousands(all)} of this source in all` : ''}.`,
          )
        else
          message.warning(
            `${info.short} hands out at most ${thousands(count)}: these records are in the review, ${thousands(hits - count)} of the hits are not. Split the line by years and bring the parts in beside each other with Shift+B.`,
            8,
          )
      })
    const move = (step: -1 | 1) => (): void => {
      const moved = moveLine(lines, at, at + step)
      if (moved.ok) deed(act('line.move', { sourceId: source.id, id: chosen!.id, to: at + step }))
      else message.info(moved.problems[0]!.message)
    }
    const remove = (): void => {
      const ids = marked.size ? marked : new Set([chosen!.id])
      const others = dependsOn(lines, ids)
      const take = (all: Iterable<string>): void => {
        deed(act('lines.remove', { sourceId: source.id, ids: [...all] }))
        set.mark(new Set())
      }
      if (!others.length) return take(ids)
      modal.confirm({
        title: `${others.length === 1 ? 'Line' : 'Lines'} ${others.map((n) => `#${n}`).join(', ')} ${others.length === 1 ? 'depends' : 'depend'} on this`,
        content:
          'They would refer to nothing. Take them out as well, or leave everything and change them first.',
        okText: `Take out all ${ids.size + others.length}`,
        cancelText: 'Leave everything',
        onOk: () => take([...ids, ...others.map((n) => lines[n - 1]!.id)]),
      })
    }
    const applyLimit = (limit: LimitValue): void => {
      if (finalNumber(lines)) add(`#${finalNumber(lines)}`, { limits: [limit] })
    }
    return [
      {
        id: 'run',
        label: stale ? `Run ${stale} stale` : 'Run',
        key: 'R',
        strip: true,
        when: () => runs() && stale > 0,
        run: run('stale'),
      },
      { id: 'run-all', label: 'Run all lines again', key: 'Shift+R', when: runs, run: run('all') },
      {
        id: 'run-one',
        label: 'Run this line only',
        key: 'O',
        when: () => runs() && chosen !== undefined,
        run: () => run({ lineId: chosen!.id })(),
      },
      {
        id: 'line-edit',
        label: 'Edit',
        key: 'Enter',
        strip: true,
        when: some,
        run: () => set.edit(chosen?.id),
      },
      {
        id: 'line-new',
        label: 'New line',
        key: 'N',
        strip: true,
        run: () => set.edit(add('', {}, at < 0 ? lines.length : at + 1)),
      },
      {
        id: 'line-described',
        label: 'A search without text: a form, a drawn structure, a journal browsed',
        key: 'W',
        run: () => set.edit(add('', { described: '' }, at < 0 ? lines.length : at + 1)),
      },
      {
        id: 'history',
        label: 'Take over a pasted or saved history',
        key: 'H',
        when: idle,
        run: set.history,
      },
      {
        id: 'line-mark',
        label: 'Mark for joining',
        key: ' ',
        when: some,
        run: () => {
          const next = new Set(marked)
          if (!next.delete(chosen!.id)) next.add(chosen!.id)
          set.mark(next)
        },
      },
      {
        id: 'join-any',
        label: 'Join any',
        key: 'J',
        strip: true,
        when: () => numbers.length > 1,
        run: () => join(joinText('any', numbers)),
      },
      {
        id: 'join-all',
        label: 'Join all',
        key: 'Shift+J',
        strip: true,
        when: () => numbers.length > 1,
        run: () => join(joinText('all', numbers)),
      },
      {
        id: 'subtract',
        label: 'First marked less the others',
        key: 'M',
        when: () => numbers.length > 1,
        run: () => join(subtractText(numbers)),
      },
      {
        id: 'limit-next',
        label: 'Apply next limit',
        key: 'L',
        strip: true,
        when: () => lines.length > 0 && nextLimit(review, info) !== undefined,
        run: () => {
          const limit = nextLimit(review, info)
          if (limit) applyLimit(limit)
        },
      },
      {
        id: 'draft',
        label: lines.length ? 'Draft anew, after a look' : 'Draft from the plan',
        key: 'D',
        when: idle,
        run: () => {
          const drafted = draftFor(review, info)
          if (!drafted.length)
            return deed(message.info('There is nothing to draft from yet: put terms into the grid first.'))
          if (lines.length) return set.redraft()
          deed(
            act('strategy.draft', {
              sourceId: source.id,
              lines: drafted.map((l) => ({ id: newId(), note: '', drafted: true, ...l })),
            }),
          )
        },
      },
      {
        id: 'carry',
        label: marked.size
          ? 'Copy the marked lines to another source'
          : 'Carry the strategy over to another source',
        key: 'G',
        when: () => lines.length > 0,
        run: set.carry,
      },
      { id: 'line-remove', label: 'Take lines out', key: 'Delete', when: some, run: remove },
      {
        id: 'line-move-up',
        label: 'Move the line up',
        key: 'Shift+ArrowUp',
        when: () => some() && at > 0,
        run: move(-1),
      },
      {
        id: 'line-move-down',
        label: 'Move the line down',
        key: 'Shift+ArrowDown',
        when: () => some() && at < lines.length - 1,
        run: move(1),
      },
      {
        id: 'line-up',
        label: 'Line above',
        key: 'ArrowUp',
        when: () => at > 0,
        run: () => set.choose(lines[at - 1]?.id),
      },
      {
        id: 'line-down',
        label: 'Line below',
        key: 'ArrowDown',
        when: () => at < lines.length - 1,
        run: () => set.choose(lines[at + 1]?.id),
      },
      {
        id: 'copy-strategy',
        label: 'Copy the strategy, line by line',
        key: 'Shift+C',
        when: () => lines.length > 0,
        run: () =>
          deed(
            navigator.clipboard
              .writeText(strategyText(context, source))
              .then(() => message.success('The strategy is copied, line by line.')),
          ),
      },
      {
        id: 'bring',
        label: 'Bring records in',
        key: 'B',
        strip: true,
        when: brings,
        run: bring('in place'),
      },
      {
        id: 'bring-beside',
        label: 'Bring records in beside those there are',
        key: 'Shift+B',
        when: () => brings() && partsOf(store, source.id).length > 0,
        run: bring('beside'),
      },
    ]
  }, [
    info,
    lines,
    set,
    marked,
    chosen,
    busy,
    view.runs,
    store,
    deed,
    message,
    act,
    modal,
    review,
    newId,
    context,
  ])
}
