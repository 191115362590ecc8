import type { Truncation } from '../reads/en'
import type { Deeds } from './deeds'

interface Ran {
  id: string
  sourceId: string
  lineId: string
  text: string
  sent: string
  supersedes?: string
  reached?: { id: string }[]
}

/** Words with any ending that a run asks for: as they stand in quotes together, or by themselves. */
function asked(text: string): string[] {
  const phrases = [...text.matchAll(/"([^"]*)"/g)].map((m) => m[1]!)
  const words = text.replace(/"[^"]*"/g, ' ').split(/[\s()]+/)
  return [...phrases, ...words].filter((w) => /^[\p{L}\p{N} -]+\*$|\p{L}\* /u.test(w))
}

/** In what was sent, every open word of it stands as it begins, and nowhere with a sign or another ending. */
const cut = (words: string, sent: string): boolean => {
  const open = words.split(' ').filter((w) => w.endsWith('*'))
  return open.every((w) => {
    const stem = w.slice(0, -1).toLowerCase()
    const tokens = sent
      .toLowerCase()
      .split(/[\s()"“”,;[\]]+/)
      .filter((t) => t.includes(stem))
    return tokens.length > 0 && tokens.every((t) => t === stem || !t.startsWith(stem))
  })
}

/** Just these words of the lines that count were sent without truncation, in just these databases. */
export function truncation(read: Truncation, deeds: Deeds): boolean {
  const names = new Map(deeds.of('source.set').map((s) => [s.id as string, s]))
  const runs = deeds.of('run.log') as unknown as Ran[]
  const replaced = new Set(runs.map((r) => r.supersedes))
  const standing = runs.filter((r) => !replaced.has(r.id))
  const found = [...names.values()].flatMap((source) => {
    if (source.kind !== 'database') return []
    const own = standing.filter((r) => r.sourceId === source.id)
    const lines = deeds
      .of('strategy.set')
      .filter((p) => p.sourceId === source.id)
      .at(-1)?.lines as { id: string }[] | undefined
    const counting = own.findLast((r) => r.lineId === lines?.at(-1)?.id)
    if (!counting) return []
    const ids = new Set([...(counting.reached ?? []).map((l) => l.id), counting.lineId])
    const words = new Set(
      [...ids].flatMap((id) => {
        const run = own.findLast((r) => r.lineId === id)
        return run ? asked(run.text).filter((w) => cut(w, run.sent)) : []
      }),
    )
    return words.size
      ? [{ name: source.name as string, words: [...words].map((w) => w.replace(/\*/g, '')) }]
      : []
  })
  return (
    found.length === read.sources.length &&
    found.every(({ name, words }) => {
      const told = read.sources.find((s) => s.name === name)
      return (
        told !== undefined &&
        told.words.length + told.more === words.length &&
        told.words.every((w) => words.includes(w))
      )
    })
  )
}
