import { passSums } from '../facts/selection'
import { saying } from './saying'

/** Titles and abstracts that were read, and what became of them. */
export const titlesRead = saying<{ left: number; out: number; open: number; toSettle: number }>({
  family: 'titles read',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  core: true,
  finds: {
    when: { read: ({ figures }) => passSums(figures).screened > 0 },
    found: ({ figures }) => {
      const { setAside, open, toSettle } = passSums(figures)
      return { left: figures.broad.left, out: setAside, open, toSettle }
    },
  },
})
