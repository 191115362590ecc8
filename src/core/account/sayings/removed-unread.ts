import { passSums } from '../facts/selection'
import { saying } from './saying'

/** Works that went out together before anybody read them, and for what reasons, the most frequent first. */
export const removedUnread = saying<{ count: number; reasons: { reason: string; count: number }[] }>({
  family: 'removed unread',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  core: true,
  finds: {
    when: { removed: ({ figures }) => passSums(figures).removed > 0 },
    found: ({ figures }) => {
      const { removed, removedReasons } = passSums(figures)
      return { count: removed, reasons: [...removedReasons] }
    },
  },
})
