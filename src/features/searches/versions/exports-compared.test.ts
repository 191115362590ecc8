import { describe, expect, it } from 'vitest'
import { nextEntry, type Command, type Entry } from '@/core/review'
import { exportsOf } from './exports-compared'

const after = (last: Entry | undefined, command: Command): Entry => {
  const n = last ? last.seq + 1 : 0
  return nextEntry(last, command, {
    at: `2026-11-16T09:${String(n).padStart(2, '0')}:00Z`,
    by: 'p-1',
    salt: n.toString(16).padStart(32, '0'),
  })
}
const journal = (commands: readonly Command[]): Entry[] =>
  commands.reduce<Entry[]>((entries, c) => [...entries, after(entries.at(-1), c)], [])
const brought = (
  id: string,
  file: string,
  count: number,
  supersedes: string[] = [],
  sourceId = 's',
): Command => ({
  kind: 'records.import',
  payload: {
    id,
    sourceId,
    digest: file.repeat(64).slice(0, 64),
    count,
    at: '2026-11-16T09:00:00Z',
    ...(supersedes.length ? { supersedes: { ids: supersedes, because: 'a newer export' } } : {}),
  },
})

describe('what was exported from a source, time after time', () => {
  it('takes a file in the place of another as a new export, and one beside it as a part', () => {
    const found = exportsOf(
      journal([
        brought('i1', 'a', 10),
        brought('i2', 'b', 5),
        brought('i3', 'c', 17, ['i1', 'i2']),
        brought('o', 'd', 3, [], 'other'),
      ]),
      's',
    )
    expect(found.map((e) => [e.count, e.parts.map((p) => p.digest[0])])).toEqual([
      [15, ['a', 'b']],
      [17, ['c']],
    ])
  })

  it('counts the same file twice once, and leaves out what was undone', () => {
    const entries = journal([
      brought('i1', 'a', 10),
      brought('i2', 'a', 10, ['i1']),
      brought('i3', 'b', 12, ['i2']),
    ])
    const undone = after(entries[2], { kind: 'undo', payload: { seq: 2 } })
    const again = after(undone, { kind: 'redo', payload: { seq: 2 } })
    expect(exportsOf(entries, 's').map((e) => e.count)).toEqual([10, 12])
    expect(exportsOf([...entries, undone], 's').map((e) => e.count)).toEqual([10])
    expect(exportsOf([...entries, undone, again], 's').map((e) => e.count)).toEqual([10, 12])
    expect(exportsOf([], 's')).toEqual([])
  })
})
