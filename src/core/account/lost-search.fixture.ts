import type { Command } from '../review'

/** A database that was searched before the record was kept: a day and a count are known, and not what was asked. */
export const lostSearchIn = (id: string, name: string): Command[] =>
  [
    { kind: 'source.set', payload: { id, kind: 'database', name, why: '' } },
    {
      kind: 'strategy.set',
      payload: {
        sourceId: id,
        why: 'drafted anew',
        lines: [{ id: `${id}-lost`, text: '', limits: [], note: '', drafted: false }],
      },
    },
    {
      kind: 'run.log',
      payload: {
        ...{ id: `run-${id}-lost`, sourceId: id, lineId: `${id}-lost`, key: '', keyRule: 0, number: 1 },
        reached: [{ number: 1, id: `${id}-lost`, text: '', limits: [] }],
        ...{ text: '', sent: '', limits: [], hits: 90, at: '2025-11-20T12:00:00Z', by: 'p-1', release: '' },
        how: 'before',
      },
    },
  ] as never
