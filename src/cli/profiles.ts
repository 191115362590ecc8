import { noJsonAt } from '@/core/base'
import { readFileSync } from 'node:fs'
import { readDescription, type PrintOptions, type Profile } from '../core/profile'
import { Thesaurus } from '../core/vocabulary'
import { SOURCE_IDS, vocabularyOf, type SourceId } from '../standins/corpus/releases'
import { PROFILES } from '../standins/profiles'
import { UsageError } from './arguments'

/** A profile by the id of a stand-in, or from a JSON file. */
export function loadProfile(name: string): Profile {
  if (Object.hasOwn(PROFILES, name)) return PROFILES[name]!
  let text: string
  try {
    text = readFileSync(name, 'utf8')
  } catch {
    throw new UsageError(
      `"${name}" is no profile here (${Object.keys(PROFILES).join(', ')}) and no file that can be read.`,
    )
  }
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new Error(`${name} is not JSON from ${noJsonAt(text) ?? 'its start'} on.`)
  }
  const read = readDescription(value)
  if (read.ok) return read.value
  throw new Error(read.problems.map((p) => `${name}: ${p.message}`).join('\n'))
}

/** Narrower headings from the vocabulary of a stand-in; nothing where it has none. */
export function narrowerFor(id: string): PrintOptions {
  const vocabulary = (SOURCE_IDS as readonly string[]).includes(id) ? vocabularyOf(id as SourceId) : undefined
  if (!vocabulary) return {}
  const thesaurus = new Thesaurus(vocabulary)
  return {
    withNarrower: (label) => {
      const heading = thesaurus.byLabel(label)
      return heading && thesaurus.withNarrower(heading).map((h) => h.label)
    },
  }
}
