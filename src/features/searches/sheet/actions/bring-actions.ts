import { strategyText } from '@/core/account'
import { addDrafts } from '@/core/doing'
import { thousands } from '@/core/base'
import type { Action } from '@/page/actions'
import { copyText } from '@/ui/copy-text'
import { draftFor } from '../../history/draft'
import { partsOf, type Place } from '../../../shared/bring-file/bring-file'
import { bringRecords } from '../../outside/bring-records'
import type { Sheet } from '../use-sheet'
import { idle, some, work, type Means } from './means'

/** What comes into a sheet from elsewhere and what goes out of it: drafts, histories, copies, records. */
export function bringActions(sheet: Sheet, means: Means) {
  const { review, info, lines, view, chosen, marked, set } = sheet
  const { store, message, context } = means
  const { source } = info
  const brings = (): boolean => some(sheet) && info.standin !== undefined && view.runs.has(chosen!.id)
  const bring = (place: Place): (() => void) =>
    work(means, sheet, 'Bringing records in …', async () => {
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
  const draft = (): void => {
    const drafted = draftFor(review, info)
    if (!drafted.length)
      return store.deed(message.info('There is nothing to draft from yet: put terms into the grid first.'))
    if (lines.length) return set.dialog('redraft')
    store.deed(store.doIt(addDrafts, [{ sourceId: source.id, lines: drafted }]))
  }
  return {
    history: {
      id: 'history',
      label: 'Take over a pasted or saved history',
      key: 'H',
      when: () => idle(sheet),
      run: () => set.dialog('history'),
    },
    before: {
      id: 'search-before',
      label: 'A search made before this record was kept',
      key: 'Shift+H',
      when: () => idle(sheet) && info.standin === undefined,
      run: () => set.dialog('before'),
    },
    draft: {
      id: 'draft',
      label: lines.length ? 'Draft anew, after a look' : 'Draft from the plan',
      key: 'D',
      when: () => idle(sheet),
      run: draft,
    },
    carry: {
      id: 'carry',
      label: marked.size
        ? 'Copy the marked lines to another source'
        : 'Carry the strategy over to another source',
      key: 'G',
      when: () => lines.length > 0,
      run: () => set.dialog('carry'),
    },
    copy: {
      id: 'copy-strategy',
      label: 'Copy the strategy, line by line',
      key: 'Shift+C',
      when: () => lines.length > 0,
      run: () =>
        store.deed(
          copyText(strategyText(context, source)).then(() =>
            message.success('The strategy is copied, line by line.'),
          ),
        ),
    },
    bring: {
      id: 'bring',
      label: 'Bring records in',
      key: 'B',
      strip: true,
      when: brings,
      run: bring('in place'),
    },
    bringBeside: {
      id: 'bring-beside',
      label: 'Bring records in beside those there are',
      key: 'Shift+B',
      when: () => brings() && partsOf(store, source.id).length > 0,
      run: bring('beside'),
    },
  } satisfies Record<string, Action>
}
