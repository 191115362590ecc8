// The flow and agreement of a package, counted from its journal by a script that shares no code with the product.
import { readFileSync } from 'node:fs'
import { strFromU8, unzipSync } from 'fflate'

interface Entry {
  seq: number
  at: string
  by: string
  kind: string
  payload?: Record<string, unknown>
}
interface Said {
  at: string
  verdict: string
}

export interface Recounted {
  entries: Entry[]
  read: number
  setAside: number
  open: number
  toSettle: number
  passed: number
  /** By two readers: works that both ruled, and of how many they said the same first. */
  pairs: Record<string, [both: number, same: number]>
  readers: string[]
}

/** Where works stand in the broad pass, under *settle first*; each record is a work of its own. */
export function recount(file: string): Recounted {
  const files = unzipSync(new Uint8Array(readFileSync(file)))
  const lines = (name: string): string[] => strFromU8(files[name]!).trim().split('\n')
  const entries = lines('data/journal.jsonl').map((l) => JSON.parse(l) as Entry)
  const undone = new Set<number>()
  for (const { kind, payload } of entries) {
    if (kind === 'undo') undone.add(payload!.seq as number)
    if (kind === 'redo') undone.delete(payload!.seq as number)
  }
  const done = entries.filter((e) => !undone.has(e.seq))
  // What came in files stands beside the journal, each a chain of its own.
  const all: Entry[] = done.flatMap((e): Entry[] => {
    if (e.kind !== 'side.take') return [e]
    const side = JSON.parse(strFromU8(files[`data/blobs/${e.payload!.digest as string}`]!)) as {
      entries: Entry[]
    }
    return side.entries
  })
  const words = new Map<string, Map<string, Said[]>>()
  const settled = new Map<string, Said>()
  for (const { kind, at, payload: p } of all) {
    if (kind === 'ruling.set' && p!.pass === 'broad') {
      const id = p!.recordId as string
      const of = words.get(id) ?? new Map<string, Said[]>()
      const reader = p!.reader as string
      const said = of.get(reader) ?? []
      if (!said.some((s) => s.at === at)) said.push({ at, verdict: p!.verdict as string })
      of.set(reader, said)
      words.set(id, of)
    }
    if (kind === 'ruling.settle' && p!.pass === 'broad')
      for (const id of [p!.recordId as string, ...((p!.also as string[] | undefined) ?? [])])
        settled.set(id, { at, verdict: p!.verdict as string })
  }
  const found: Recounted = {
    entries,
    read: words.size,
    setAside: 0,
    open: 0,
    toSettle: 0,
    passed: 0,
    pairs: {},
    readers: [],
  }
  const readers = new Set<string>()
  const byTime = (a: Said, b: Said): number => (a.at < b.at ? -1 : 1)
  for (const [id, of] of words) {
    const last = [...of.values()].map((s) => [...s].sort(byTime).at(-1)!.verdict)
    const verdict = settled.get(id)?.verdict ?? (new Set(last).size > 1 ? 'to settle' : last[0])
    if (verdict === 'in') found.passed++
    else if (verdict === 'out') found.setAside++
    else if (verdict === 'unsure') found.open++
    else found.toSettle++
    const names = [...of.keys()].sort()
    for (const n of names) readers.add(n)
    names.forEach((a, n) => {
      for (const b of names.slice(n + 1)) {
        const [x, y] = [a, b].map((r) => [...of.get(r)!].sort(byTime)[0]!.verdict)
        const [both, same] = found.pairs[`${a} ${b}`] ?? [0, 0]
        found.pairs[`${a} ${b}`] = [both + 1, same + (x === y ? 1 : 0)]
      }
    })
  }
  found.readers = [...readers].sort()
  return found
}
