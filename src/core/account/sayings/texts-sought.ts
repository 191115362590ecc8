import { passSums } from '../facts/selection'
import { saying } from './saying'

export interface TextsSought {
  sought: number
  notLooked: number
  notHad: number
  awaited: number
}

/** Of how many works the full text was to be sought, and what became of that. */
export const textsSought = saying<TextsSought>({
  family: 'texts sought',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  core: true,
  finds: {
    when: { passed: ({ figures }) => passSums(figures).sought > 0 },
    found: ({ figures }) => {
      const { sought, notLooked, notHad, awaited } = passSums(figures)
      return { sought, notLooked, notHad, awaited }
    },
  },
})
