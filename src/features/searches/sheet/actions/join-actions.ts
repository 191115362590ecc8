import { finalNumber, joinText, subtractText } from '@/core/strategy'
import type { Action } from '@/page/actions'
import { nextLimit } from '../../panes/ledger'
import type { Sheet } from '../use-sheet'
import { put, some, type Means } from './means'

/** Marking lines, joining those that are marked, and limiting what they give. */
export function joinActions(sheet: Sheet, means: Means) {
  const { review, info, lines, chosen, marked, set } = sheet
  const numbers = lines.flatMap((l, i) => (marked.has(l.id) ? [i + 1] : []))
  const several = (): boolean => numbers.length > 1
  const join = (text: string): void => {
    const [only, ...others] = new Set(lines.filter((l) => marked.has(l.id)).map((l) => l.conceptId))
    put(means, sheet, text, only && !others.length ? { conceptId: only } : {})
    set.mark(new Set())
  }
  return {
    mark: {
      id: 'line-mark',
      label: 'Mark for joining',
      key: ' ',
      when: () => some(sheet),
      run: () => set.toggle(chosen!.id),
    },
    any: {
      id: 'join-any',
      label: 'Join any',
      key: 'J',
      strip: true,
      when: several,
      run: () => join(joinText('any', numbers)),
    },
    all: {
      id: 'join-all',
      label: 'Join all',
      key: 'Shift+J',
      strip: true,
      when: several,
      run: () => join(joinText('all', numbers)),
    },
    subtract: {
      id: 'subtract',
      label: 'First marked less the others',
      key: 'M',
      when: several,
      run: () => join(subtractText(numbers)),
    },
    limit: {
      id: 'limit-next',
      label: 'Apply next limit',
      key: 'L',
      strip: true,
      when: () => lines.length > 0 && nextLimit(review, info) !== undefined,
      run: () => {
        const limit = nextLimit(review, info)
        const final = finalNumber(lines)
        if (limit && final) put(means, sheet, `#${final}`, { limits: [limit] })
      },
    },
  } satisfies Record<string, Action>
}
