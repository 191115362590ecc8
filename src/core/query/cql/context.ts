import { byName } from '../../base'
import type { Field } from '../tree'

/**
 * Indexes of CQL and the fields they stand for. Context sets: `dc` (Dublin Core) and `bath` where they have the index,
 * `cql` for the server's choice, and our own `luv` for the rest (documented in docs/profiles.md).
 */
export const INDEXES: Readonly<Record<string, Field>> = byName({
  'cql.serverchoice': 'any',
  'cql.keywords': 'any',
  'cql.anyindexes': 'any',
  'cql.allindexes': 'any',
  'cql.anywhere': 'any',
  'dc.title': 'title',
  'bath.title': 'title',
  title: 'title',
  'dc.description': 'abstract',
  'luv.abstract': 'abstract',
  abstract: 'abstract',
  'luv.keywords': 'keywords',
  'dc.subject': 'subject',
  'bath.subject': 'subject',
  subject: 'subject',
  'dc.creator': 'author',
  'bath.author': 'author',
  author: 'author',
  'luv.journal': 'journal',
  'bath.keytitle': 'journal',
  'dc.coverage': 'place',
  'luv.place': 'place',
  'luv.test': 'test',
  'dc.identifier': 'identifier',
  'bath.standardidentifier': 'identifier',
  'luv.fulltext': 'fulltext',
  'luv.level': 'level',
  'luv.affiliation': 'affiliation',
  'luv.number': 'number',
  'luv.notes': 'notes',
  'luv.text': 'text',
  'luv.any': 'any',
})

/** The index that a field is written with. */
export const INDEX_OF: Readonly<Record<Field, string>> = {
  any: 'cql.serverChoice',
  title: 'dc.title',
  abstract: 'dc.description',
  keywords: 'luv.keywords',
  subject: 'dc.subject',
  author: 'dc.creator',
  journal: 'luv.journal',
  place: 'dc.coverage',
  test: 'luv.test',
  identifier: 'dc.identifier',
  fulltext: 'luv.fulltext',
  level: 'luv.level',
  affiliation: 'luv.affiliation',
  number: 'luv.number',
  notes: 'luv.notes',
  text: 'luv.text',
}
