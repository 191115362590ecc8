import { database } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'
import { fact } from './fact'

export const headingsSeen: Words<FoundOf<'headings-seen'>> = {
  says: ({ sourceId, missing }) => {
    const nothing = missing ? `; nothing was found there for ${fact('lookup.missing', sourceId)}` : ''
    const when = fact('lookup.days', sourceId)
    return [
      `In the thesaurus of ${database(sourceId)}, headings were looked up ${when}${nothing}.`,
      `Headings were looked up in the thesaurus of ${database(sourceId)} ${when}${nothing}.`,
    ]
  },
}
