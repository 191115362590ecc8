import { plural } from '@/core/base'
import type { Action } from '@/store/actions'
import { runLines, type Which } from '../run'
import type { Sheet } from '../use-sheet'
import { idle, work, type Means } from './means'

/** Running lines in a source that can be searched from here. */
export function runActions(sheet: Sheet, means: Means) {
  const { info, lines, chosen, stale, set } = sheet
  const can = (): boolean => info.standin !== undefined && idle(sheet) && lines.length > 0
  const run = (which: Which): (() => void) =>
    work(means, sheet, 'Searching …', async (stopped, show) => {
      const outcome = await runLines(means.store, info.source, which, (done, of) => {
        show(`Line ${done} of ${of} …`)
        return !stopped()
      })
      set.outcome(outcome)
      if (outcome.stopped)
        means.message.info(`Stopped; ${plural(outcome.logged, 'line was', 'lines were')} run before.`)
    })
  return {
    run: {
      id: 'run',
      label: stale ? `Run ${plural(stale, 'line')}` : 'Run',
      key: 'R',
      strip: true,
      when: () => can() && stale > 0,
      run: run('stale'),
    },
    runAll: { id: 'run-all', label: 'Run all lines again', key: 'Shift+R', when: can, run: run('all') },
    runOne: {
      id: 'run-one',
      label: 'Run this line only',
      key: 'O',
      when: () => can() && chosen !== undefined,
      run: () => run({ lineId: chosen!.id })(),
    },
  } satisfies Record<string, Action>
}
