import type { Line, Source } from '../../review'
import type { Doing } from '../doing'
import { runOf, whoRan } from './run'

/** What is known of a search that was made before the record was kept. */
export interface SearchedBefore {
  source: Source
  lines: readonly Line[]
  /** ISO 8601: the day it was made, at noon where no hour is known. */
  at: string
  hits: number
  /** Who made it, by name; empty, or the name of who notes it: they themselves. */
  ranBy: string
  /** What who notes it is called. */
  reader: string
  platform: string
  /** What else is remembered, in words; empty: nothing. */
  note: string
}

/**
 * Takes a search in that was made before there was a record, of which nobody knows here what it asked: a line without words
 * at the end of the strategy, and its run. Told as such, it is not judged and cannot be repeated. Records are brought in
 * under it as under any other run.
 */
export const logBefore: Doing<SearchedBefore> = (at, search) => {
  const { by, named } = whoRan(at, search)
  const line: Line = { id: at.newId(), text: '', limits: [], note: search.note.trim(), drafted: false }
  const { source, hits } = search
  const run = runOf(at, {
    ...{ source, lines: [...search.lines, line], line, sent: '', hits, evidence: {} },
    ...{ release: '', how: 'before', at: search.at, by, platform: search.platform.trim() },
  })
  return [
    ...named,
    { kind: 'line.add', payload: { sourceId: source.id, line, at: search.lines.length } },
    { kind: 'run.log', payload: run },
  ]
}
