import type { Rec } from '../../records'
import type { WorkRead } from './works'

/** Which works of a review cite which, by their ids; works that cite nothing here, or are not cited, are left out. */
export interface Citations {
  cites: ReadonlyMap<string, ReadonlySet<string>>
  citedBy: ReadonlyMap<string, ReadonlySet<string>>
}

/**
 * Finds citations among works: a record names what it cites by numbers of its own source. A work does not cite itself,
 * though one of its records may cite another.
 */
export function citationsOf(
  works: readonly WorkRead[],
  recordOf: (id: string) => { sourceId: string; record: Rec },
): Citations {
  const numbered = new Map<string, string>()
  for (const work of works) for (const f of work.from) numbered.set(`${f.sourceId} ${f.recordId}`, work.id)
  const cites = new Map<string, Set<string>>()
  const citedBy = new Map<string, Set<string>>()
  for (const work of works)
    for (const id of work.records) {
      const { sourceId, record } = recordOf(id)
      for (const reference of record.references ?? []) {
        const other = reference.id && numbered.get(`${sourceId} ${reference.id}`)
        if (!other || other === work.id) continue
        add(cites, work.id, other)
        add(citedBy, other, work.id)
      }
    }
  return { cites, citedBy }
}

function add(to: Map<string, Set<string>>, from: string, id: string): void {
  const known = to.get(from)
  if (known) known.add(id)
  else to.set(from, new Set([id]))
}
