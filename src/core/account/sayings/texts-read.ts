import { passSums } from '../facts/selection'
import { saying } from './saying'

/** Full texts that were read, and what became of them. */
export const textsRead = saying<{
  out: number
  open: number
  toSettle: number
  noText: number
  included: number
  /** Reasons of those that were set aside, the most frequent first, "none" where nothing was noted. */
  reasons: { reason: string; count: number }[]
  finished: boolean
}>({
  family: 'texts read',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  core: true,
  finds: {
    when: { read: ({ figures }) => passSums(figures).assessed > 0 },
    found: ({ figures }) => {
      const s = passSums(figures)
      return {
        out: s.out,
        open: s.closeOpen,
        toSettle: s.closeToSettle,
        noText: s.noText,
        included: s.included,
        reasons: [...s.outReasons],
        finished: !figures.broad.left && !s.undecided,
      }
    },
  },
})
