import type { LimitValue } from '../query'
import type { DocSet } from './docset'
import type { Index } from './index-read'

type Facets = Index['heads']['facets'][number]

/** The facet that a limit goes by. */
export const FACET_OF_LIMIT = {
  years: 'year',
  language: 'language',
  'document type': 'type',
  'peer reviewed': 'peerReviewed',
  population: 'population',
  place: 'place',
  'open access': 'openAccess',
} as const

/**
 * A test for one document. A record that lacks the value (no year, no language) does not pass: databases leave out
 * what they cannot place. A limit of kind `other` is for people to apply and lets everything pass.
 */
export function limitTest(limit: LimitValue): (facets: Facets) => boolean {
  switch (limit.kind) {
    case 'years': {
      const from = limit.from ?? -Infinity
      const to = limit.to ?? Infinity
      return (f) => f.year?.some((y) => Number(y) >= from && Number(y) <= to) ?? false
    }
    case 'language':
    case 'document type':
    case 'population':
    case 'place': {
      const facet = FACET_OF_LIMIT[limit.kind]
      const wanted = new Set<string | number>(limit.values)
      return (f) => f[facet]?.some((v) => wanted.has(v)) ?? false
    }
    case 'peer reviewed':
    case 'open access': {
      const facet = FACET_OF_LIMIT[limit.kind]
      return (f) => f[facet]?.includes('yes') ?? false
    }
    case 'other':
      return () => true
  }
}

/** The documents of `docs` that pass every limit. */
export function applyLimits(index: Index, docs: DocSet, limits: readonly LimitValue[]): DocSet {
  return limits.reduce((left, limit) => {
    const test = limitTest(limit)
    return left.filter((doc) => test(index.heads.facets[doc]!))
  }, docs)
}
