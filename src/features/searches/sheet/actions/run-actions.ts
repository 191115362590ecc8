import { plural } from '@/core/base'
import type { Action } from '@/page/actions'
import { runLines, type Which } from '../run'
import type { Sheet } from '../use-sheet'
import { idle, work, type Means } from './means'

/** Running lines: from here, or elsewhere by a person whom a run sheet leads from line to line. */
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
  const elsewhere = (): boolean =>
    info.standin === undefined && info.profile !== undefined && idle(sheet) && lines.length > 0
  return {
    run: {
      id: 'run',
      label: stale ? `Run ${plural(stale, 'line')}${elsewhere() ? ' there' : ''}` : 'Run',
      key: 'R',
      strip: true,
      when: () => (can() || elsewhere()) && stale > 0,
      run: elsewhere() ? () => set.dialog('run sheet') : run('stale'),
    },
    runAll: {
      id: 'run-all',
      label: elsewhere() ? 'Run all lines there again, as an update' : 'Run all lines again',
      key: 'Shift+R',
      when: () => can() || elsewhere(),
      run: elsewhere() ? () => set.dialog('run sheet again') : run('all'),
    },
    runOne: {
      id: 'run-one',
      label: 'Run this line only',
      key: 'O',
      when: () => can() && chosen !== undefined,
      run: () => run({ lineId: chosen!.id })(),
    },
  } satisfies Record<string, Action>
}
