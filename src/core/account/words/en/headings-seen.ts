import { database } from './speaker'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

export const headingsSeen: Words<FoundOf<'headings-seen'>> = {
  says: ({ sourceId, missing }) => {
    const nothing = missing ? `; nothing was found there for {lookup.missing:${sourceId}}` : ''
    const when = `{lookup.days:${sourceId}}`
    return [
      `In the thesaurus of ${database(sourceId)}, headings were looked up ${when}${nothing}.`,
      `Headings were looked up in the thesaurus of ${database(sourceId)} ${when}${nothing}.`,
    ]
  },
}
