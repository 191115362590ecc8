import { LATEST, openStandin, STANDINS, standin, type OpenStandin } from '../standins'
import { recordsOf, RELEASES, vocabularyOf, type Release, type SourceId } from '../standins/corpus/releases'
import { UsageError } from './arguments'

/** A stand-in made afresh from its generator: the same records as the app has. */
export function loadStandin(id: string, release: string = LATEST): OpenStandin {
  const info = standin(id)
  if (!info)
    throw new UsageError(`There is no stand-in "${id}". There are ${STANDINS.map((s) => s.id).join(', ')}.`)
  if (!(RELEASES as readonly string[]).includes(release))
    throw new UsageError(`There is no release "${release}". There are ${RELEASES.join(' and ')}.`)
  return openStandin(
    info,
    release,
    recordsOf(id as SourceId, release as Release),
    vocabularyOf(id as SourceId),
  )
}
