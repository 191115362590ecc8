import { openStandin, STANDINS, standin, type OpenStandin } from '../standins'
import { fernhollowRecords, fernhollowVocabulary } from '../standins/corpus/releases'
import { UsageError } from './arguments'

/** A stand-in made afresh from its generator: the same records as the app has. */
export function loadStandin(id: string): OpenStandin {
  const info = standin(id)
  if (!info)
    throw new UsageError(`There is no stand-in "${id}". There are ${STANDINS.map((s) => s.id).join(', ')}.`)
  return openStandin(info, fernhollowRecords(), fernhollowVocabulary())
}
