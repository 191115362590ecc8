import { lastAsking, type Deeds } from './deeds'

export interface CountingRun {
  id: string
  sourceId: string
  lineId: string
  number: number
  text: string
  sent: string
  supersedes?: string
  reached?: { id: string }[]
}

/** Of each database the standing runs of its last line and of those that it reached; databases whose last line was not run have none. */
export function countingRuns(deeds: Deeds): { name: string; runs: CountingRun[] }[] {
  const names = new Map(deeds.of('source.set').map((s) => [s.id as string, s]))
  const runs = deeds.of('run.log') as unknown as CountingRun[]
  const replaced = new Set(runs.map((r) => r.supersedes))
  const standing = runs.filter((r) => !replaced.has(r.id))
  return [...names.values()].flatMap((source) => {
    if (source.kind !== 'database') return []
    const own = standing.filter((r) => r.sourceId === source.id)
    const lines = deeds
      .of('strategy.set')
      .filter((p) => p.sourceId === source.id)
      .at(-1)?.lines as { id: string; described?: string }[] | undefined
    const counting = own.findLast((r) => r.lineId === lastAsking(lines)?.id)
    if (!counting) return []
    const ids = new Set([...(counting.reached ?? []).map((l) => l.id), counting.lineId])
    return [
      {
        name: source.name as string,
        runs: [...ids].flatMap((id) => own.findLast((r) => r.lineId === id) ?? []),
      },
    ]
  })
}

/** Is just what was found in each database told of it: named as it is, or counted among how many more there are? */
export const toldAsFound = (
  found: readonly { name: string; items: readonly string[] }[],
  told: readonly { name: string; items: readonly string[]; more: number }[],
): boolean =>
  found.length === told.length &&
  found.every(({ name, items }) => {
    const said = told.find((s) => s.name === name)
    return (
      said !== undefined &&
      said.items.length + said.more === items.length &&
      said.items.every((item) => items.includes(item))
    )
  })
