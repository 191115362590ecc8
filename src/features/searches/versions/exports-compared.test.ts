import { describe, expect, it } from 'vitest'
import { nextEntry, type Command, type Entry } from '@/core/review'
import { exportsOf } from './exports-compared'

function journal(commands: Command[]): Entry[] {
  const entries: Entry[] = []
  commands.forEach((c, i) =>
    entries.push(nextEntry(entries[i - 1], c, `2026-11-16T09:${String(i).padStart(2, '0')}:00Z`, 'M. Osei')),
  )
  return entries
}
const brought = (id: string, file: string, count: number, sourceId = 's'): Command => ({
  kind: 'records.import',
  payload: { id, sourceId, digest: file.repeat(64).slice(0, 64), count, at: '2026-11-16T09:00:00Z' },
})

describe('what was exported from a source, time after time', () => {
  it('takes a file in the place of another as a new export, and one beside it as a part', () => {
    const found = exportsOf(
      journal([
        brought('i1', 'a', 10),
        brought('i2', 'b', 5),
        brought('i1', 'c', 17),
        brought('o', 'd', 3, 'other'),
      ]),
      's',
    )
    expect(found.map((e) => [e.count, e.digests.map((d) => d[0])])).toEqual([
      [15, ['a', 'b']],
      [17, ['c']],
    ])
  })

  it('counts the same file twice once, and leaves out what was undone', () => {
    const entries = journal([brought('i1', 'a', 10), brought('i1', 'a', 10), brought('i1', 'b', 12)])
    const undone = nextEntry(
      entries[2],
      { kind: 'undo', payload: { seq: 2 } },
      '2026-11-16T10:00:00Z',
      'M. Osei',
    )
    const again = nextEntry(undone, { kind: 'redo', payload: { seq: 2 } }, '2026-11-16T10:01:00Z', 'M. Osei')
    expect(exportsOf(entries, 's').map((e) => e.count)).toEqual([10, 12])
    expect(exportsOf([...entries, undone], 's').map((e) => e.count)).toEqual([10])
    expect(exportsOf([...entries, undone, again], 's').map((e) => e.count)).toEqual([10, 12])
    expect(exportsOf([], 's')).toEqual([])
  })
})
