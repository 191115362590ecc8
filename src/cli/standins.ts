import type { Problem } from '../core/base'
import { applyLimits } from '../core/engine'
import { limitAs } from '../core/profile'
import type { Loss } from '../core/profile'
import type { LimitValue } from '../core/query'
import { runStrategy, searchAsTyped } from '../core/strategy'
import { LATEST, openStandin, RELEASES, STANDINS, standin, type OpenStandin, type Release } from '../standins'
import { recordsOf, vocabularyOf, type SourceId } from '../standins/corpus/releases'
import { UsageError } from './arguments'
import { builtRecords } from './built-records'

export interface Found {
  hits: number
  ids: string[]
  /** As it was sent, where it was written for the database. */
  sent?: string
  losses?: Loss[]
}

/** A stand-in with the records that the app has: those that were built, else made afresh from their generator. */
export function loadStandin(id: string, release: string = LATEST): OpenStandin {
  const info = standin(id)
  if (!info)
    throw new UsageError(`There is no stand-in "${id}". There are ${STANDINS.map((s) => s.id).join(', ')}.`)
  if (!(RELEASES as readonly string[]).includes(release))
    throw new UsageError(`There is no release "${release}". There are ${RELEASES.join(' and ')}.`)
  return openStandin(
    info,
    release,
    builtRecords(info, release) ?? recordsOf(id as SourceId, release as Release),
    vocabularyOf(id as SourceId),
  )
}

/** Searches a stand-in: plain notation written in its syntax first, or text in its own syntax as it was typed. */
export function searchStandin(
  source: OpenStandin,
  query: string,
  asTyped: boolean,
  limits: readonly LimitValue[],
): { found: Found | undefined; problems: Problem[] } {
  const ids = (docs: Iterable<number>): string[] => Array.from(docs, (d) => source.records[d]!.id)
  if (!asTyped) {
    const [line] = runStrategy(source, [{ id: '1', text: query, limits }])
    const { docs, sent, losses, problems } = line!
    return { found: docs && { hits: docs.length, ids: ids(docs), sent, losses }, problems }
  }
  const unavailable = limits.find((l) => !limitAs(l, source.profile))
  if (unavailable) throw new UsageError(`${source.info.name} has no limit by ${unavailable.kind}.`)
  const { docs, problems } = searchAsTyped(source.index, query, source.profile, source.options)
  const left =
    docs &&
    applyLimits(
      source.index,
      docs,
      limits.flatMap((l) => limitAs(l, source.profile) ?? []),
    )
  return { found: left && { hits: left.length, ids: ids(left) }, problems }
}
