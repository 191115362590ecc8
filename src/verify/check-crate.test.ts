import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { checkCrate, MUSTS } from './check-crate'

const DEMO = path.join(import.meta.dirname, '../../public/data/demo.luvren.zip')
const CRATE = 'data/ro-crate-metadata.json'
interface Document {
  '@context': unknown
  '@graph': Record<string, unknown>[]
}

describe.runIf(existsSync(DEMO))('the description of a package, checked', () => {
  /** The demo with its description changed. */
  const changed = (change: (doc: Document, entity: (id: string) => Record<string, unknown>) => void) => {
    const files = unzipSync(new Uint8Array(readFileSync(DEMO)))
    const doc = JSON.parse(new TextDecoder().decode(files[CRATE])) as Document
    change(doc, (id) => doc['@graph'].find((e) => e['@id'] === id)!)
    files[CRATE] = new TextEncoder().encode(JSON.stringify(doc))
    return checkCrate(zipSync(files, { level: 0 }))
  }

  it('meets every demand as it is packed', () => {
    const { state, faults, says } = changed(() => undefined)
    expect([state, faults]).toEqual(['right', []])
    expect(says).toMatch(/^\d+ entities against 5 demands of RO-Crate 1\.1$/)
  })

  const breaches: [string, number, (...d: Parameters<Parameters<typeof changed>[0]>) => void, string][] = [
    [
      'is about something else',
      0,
      (_, of) => (of('ro-crate-metadata.json')['about'] = []),
      'is not about the root',
    ],
    [
      'names another version',
      0,
      (_, of) => (of('ro-crate-metadata.json')['conformsTo'] = { '@id': 'x' }),
      'another specification',
    ],
    ['has no name', 1, (_, of) => (of('./')['name'] = ''), 'The root has no name'],
    ['has a day in words', 1, (_, of) => (of('./')['datePublished'] = 'May'), 'no day of ISO 8601'],
    [
      'has a licence that is nowhere',
      1,
      (_, of) => (of('./')['license'] = { '@id': 'gone.txt' }),
      'licence of the root',
    ],
    ['has another context', 2, (doc) => (doc['@context'] = {}), 'The context is not'],
    [
      'nests something',
      2,
      (_, of) => (of('#luvren')['version'] = { of: 3 }),
      '#luvren has something nested in version',
    ],
    ['says an id twice', 3, (doc, of) => doc['@graph'].push({ ...of('#luvren') }), '#luvren stands twice'],
    ['has no type', 3, (_, of) => delete of('#luvren')['@type'], '#luvren has no @type'],
    [
      'refers to nothing',
      3,
      (_, of) => (of('./')['author'] = [{ '@id': '#nobody' }]),
      '#nobody is referred to',
    ],
    ['leaves a file out', 4, (_, of) => (of('./')['hasPart'] as unknown[]).splice(0, 1), 'is not listed'],
    [
      'lists one that is not there',
      4,
      (_, of) => (of('./')['hasPart'] as unknown[]).push({ '@id': 'x.txt' }),
      'x.txt is listed and not there',
    ],
  ]
  for (const [what, must, change, says] of breaches)
    it(`names the demand that is not met where it ${what}`, () => {
      const { state, faults } = changed(change)
      expect(state).toBe('fault')
      expect(faults.find((f) => f.includes(says))).toContain(
        `${MUSTS[must]!.section}: ${MUSTS[must]!.demands}`,
      )
    })

  it('is read from any bytes without harm', () => {
    expect(checkCrate(new Uint8Array([1, 2, 3])).state).toBe('fault')
    expect(checkCrate(zipSync({ [CRATE]: new TextEncoder().encode('[') })).faults[0]).toMatch(
      /^It is no JSON/,
    )
    for (const odd of ['null', '3', '{"@graph":3}', '{"@graph":[null,{"@id":["x"]}]}'])
      expect(checkCrate(zipSync({ [CRATE]: new TextEncoder().encode(odd) })).state).toBe('fault')
    expect(checkCrate(zipSync({ 'data/x': new Uint8Array() }))).toMatchObject({
      state: 'right',
      says: 'none was packed',
    })
  })
})
