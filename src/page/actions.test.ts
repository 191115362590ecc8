import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inOrder, keyOf, readOwnKeys, type Offered, type Rank } from './actions'

const offered = (rank: Rank, since: number, ...ids: string[]): Offered => ({
  rank,
  since,
  actions: ids.map((id) => ({ id, label: id, key: 'B', run: () => undefined })),
})
const RANKS = ['frame', 'stage', 'pane', 'part'] as const

describe('whose key counts', () => {
  it('is what is further in, whenever it was drawn', () => {
    // A stage that is drawn anew comes after its panes, and does not take their keys.
    const order = inOrder([
      offered('stage', 9, 'stage'),
      offered('pane', 2, 'pane'),
      offered('frame', 12, 'frame'),
    ])
    expect(order.map((a) => a.id)).toEqual(['pane', 'stage', 'frame'])
  })

  it('is what came last, of two that stand side by side', () => {
    const order = inOrder([offered('pane', 1, 'old'), offered('pane', 2, 'new', 'newer')])
    expect(order.map((a) => a.id)).toEqual(['new', 'newer', 'old'])
  })

  it('does not hang on the order in which places began to offer something', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.constantFrom(...RANKS), fc.nat(40)), {
          selector: ([, since]) => since,
          maxLength: 8,
        }),
        fc.nat(),
        (places, turn) => {
          const all = places.map(([rank, since]) => offered(rank, since, `${rank} ${since}`))
          const turned = all.length
            ? [...all.slice(turn % all.length), ...all.slice(0, turn % all.length)]
            : []
          const ids = inOrder(all).map((a) => a.id)
          expect(inOrder(turned).map((a) => a.id)).toEqual(ids)
          const depth = ids.map((id) => RANKS.indexOf(id.split(' ')[0] as Rank))
          expect(depth).toEqual([...depth].sort((a, b) => b - a))
        },
      ),
    )
  })
})

it('takes a key of one’s own in the place of the one that an action has', () => {
  const [action] = offered('stage', 1, 'undo').actions
  expect(keyOf(action!, { off: false, keys: {} })).toBe('B')
  expect(keyOf(action!, { off: false, keys: { undo: 'U' } })).toBe('U')
})

it('reads what was kept of the keys only where it is whole', () => {
  for (const broken of [null, 'x', 7, {}, { off: 'yes', keys: {} }, { off: true }])
    expect(readOwnKeys(broken)).toBeUndefined()
  expect(readOwnKeys({ off: true, keys: { undo: 'U' } })).toEqual({ off: true, keys: { undo: 'U' } })
})
