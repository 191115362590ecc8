/** One preferred term of a vocabulary. The relations hold both ways, and no heading is below itself. */
export interface Heading {
  id: string
  label: string
  /** Non-preferred terms that lead here. */
  entryTerms: string[]
  scopeNote?: string
  broader: string[]
  narrower: string[]
  related: string[]
  /** Classification code, where the vocabulary has codes. */
  code?: string
  /** The year in which the heading was introduced; older records do not have it. */
  since?: number
  /** The heading that took the place of this one. */
  replacedBy?: string
}

export interface Vocabulary {
  id: string
  title: string
  version: string
  headings: Heading[]
}
