import { unzipSync } from 'fflate'
import { messageOf, noJsonAt, plural } from '../core/base'
import { checked, type Check } from './report'

const ABOUT = 'Description'
const PAYLOAD = 'data/'
const CRATE = 'ro-crate-metadata.json'

type Entity = { '@id'?: unknown; '@type'?: unknown } & Record<string, unknown>

interface Crate {
  document: Record<string, unknown>
  graph: Entity[]
  /** By its id; the first where one stands twice. */
  byId: ReadonlyMap<unknown, Entity>
  /** Every file of the package beside the description, by its path from the description. */
  payload: readonly string[]
}

/** One thing that RO-Crate 1.1 demands: in which section, in which words, and what of a description does not meet it. */
interface Must {
  section: string
  demands: string
  breaches: (crate: Crate) => string[]
}

const refersTo = (value: unknown, id: string): boolean =>
  typeof value === 'object' && value !== null && (value as Entity)['@id'] === id
const isA = (entity: Entity | undefined, type: string): boolean => [entity?.['@type']].flat().includes(type)
const idsIn = (value: unknown): unknown[] =>
  [value].flat().flatMap((v) => (typeof v === 'object' && v !== null ? [(v as Entity)['@id']] : []))
const broken = (holds: boolean, what: string): string[] => (holds ? [] : [what])

/** What RO-Crate 1.1 demands of a package like these; sections and wording from memory, shortened. */
export const MUSTS: readonly Must[] = [
  {
    section: 'Root Data Entity',
    demands: 'the description describes itself and says of what it is, by which specification',
    breaches: ({ byId }) => {
      const self = byId.get(CRATE)
      return [
        ...broken(isA(self, 'CreativeWork'), `${CRATE} is no CreativeWork`),
        ...broken(refersTo(self?.['about'], './'), `${CRATE} is not about the root`),
        ...broken(
          refersTo(self?.['conformsTo'], 'https://w3id.org/ro/crate/1.1'),
          `${CRATE} names another specification than 1.1`,
        ),
      ]
    },
  },
  {
    section: 'Root Data Entity',
    demands: 'the root is a Dataset with a name, a description, a day and a licence',
    breaches: ({ byId }) => {
      const root = byId.get('./')
      const said = (key: string): boolean => typeof root?.[key] === 'string' && root[key] !== ''
      return [
        ...broken(isA(root, 'Dataset'), 'The root is no Dataset'),
        ...['name', 'description'].flatMap((k) => broken(said(k), `The root has no ${k}`)),
        ...broken(
          /^\d{4}-\d{2}-\d{2}(T|$)/.test(String(root?.['datePublished'])),
          'The root has no day of ISO 8601',
        ),
        // A licence may be told in words; one that is referred to must be described.
        ...broken(
          said('license') || idsIn(root?.['license']).some((id) => byId.has(id)),
          'The licence of the root is not described',
        ),
      ]
    },
  },
  {
    section: 'RO-Crate JSON-LD',
    demands: 'the context is that of 1.1, and what stands within an entity is a reference',
    breaches: ({ document, graph }) => [
      ...broken(
        document['@context'] === 'https://w3id.org/ro/crate/1.1/context',
        'The context is not that of 1.1',
      ),
      ...graph.flatMap((e) =>
        Object.entries(e).flatMap(([key, value]) =>
          [value].flat().some((v) => typeof v === 'object' && (!v || Object.keys(v).join() !== '@id'))
            ? [`${String(e['@id'])} has something nested in ${key}`]
            : [],
        ),
      ),
    ],
  },
  {
    section: 'RO-Crate JSON-LD',
    demands: 'every entity has an @id of its own and a @type, and what is referred to is described',
    breaches: ({ graph, byId }) => [
      ...graph.flatMap((e) => [
        ...broken(
          typeof e['@id'] === 'string' && byId.get(e['@id']) === e,
          `${String(e['@id'])} stands twice`,
        ),
        ...broken(e['@type'] !== undefined, `${String(e['@id'])} has no @type`),
      ]),
      ...graph
        .flatMap((e) => Object.values(e).flatMap(idsIn))
        .filter((id) => !/^https:/.test(String(id)) && !byId.has(id))
        .map((id) => `${String(id)} is referred to and not described`),
    ],
  },
  {
    section: 'Data Entities',
    demands: 'each file is a File that the root lists by its path',
    breaches: ({ byId, payload }) => {
      const listed = new Set(idsIn(byId.get('./')?.['hasPart']))
      const there = new Set<unknown>(payload)
      return [
        ...payload.flatMap((path) => [
          ...broken(listed.has(path), `${path} is not listed`),
          ...broken(isA(byId.get(path), 'File'), `${path} is not described as a File`),
          ...broken(encodeURI(path) === path, `${path} is no address`),
        ]),
        ...[...listed].filter((id) => !there.has(id)).map((id) => `${String(id)} is listed and not there`),
      ]
    },
  },
]

/** Is the description of a package what RO-Crate 1.1 demands? Each breach is named with the section that demands otherwise. */
export function checkCrate(file: Uint8Array): Check {
  const payload: string[] = []
  let text: string | undefined
  try {
    const [found] = Object.values(
      unzipSync(file, {
        filter: ({ name }) => {
          if (name === PAYLOAD + CRATE) return true
          if (name.startsWith(PAYLOAD)) payload.push(name.slice(PAYLOAD.length))
          return false
        },
      }),
    )
    text = found && new TextDecoder().decode(found)
  } catch (error) {
    return checked(ABOUT, 'read', [`It cannot be read: ${messageOf(error)}.`])
  }
  if (text === undefined) return checked(ABOUT, 'none was packed', [])
  let document: Record<string, unknown>
  try {
    document = JSON.parse(text) as Record<string, unknown>
  } catch {
    return checked(ABOUT, `read as JSON`, [`It is no JSON from ${noJsonAt(text) ?? 'its start'} on.`])
  }
  const list = (document as { '@graph'?: unknown } | null)?.['@graph']
  const graph = Array.isArray(list) ? (list.filter((e) => typeof e === 'object' && e) as Entity[]) : []
  const byId = new Map<unknown, Entity>()
  for (const entity of graph) if (!byId.has(entity['@id'])) byId.set(entity['@id'], entity)
  const crate = { document: document ?? {}, graph, byId, payload }
  return checked(
    ABOUT,
    `${plural(graph.length, 'entity', 'entities')} against ${MUSTS.length} demands of RO-Crate 1.1`,
    MUSTS.flatMap(({ section, demands, breaches }) =>
      breaches(crate).map((b) => `${b}; ${section}: ${demands}.`),
    ),
  )
}
