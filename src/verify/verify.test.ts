import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import fc from 'fast-check'
import { unzipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { digestOf, digestWords } from '../core/base'
import { trials } from '../core/base/trials.fixture'
import {
  draftAccount,
  factsIn,
  freezeText,
  frozenBytes,
  resolved,
  resolveFact,
  sectionDocument,
  type FrozenDocument,
} from '../core/account'
import { joined, PackageWriter, type FrozenText, type Packed } from '../core/review'
import { sourceFactsOf } from '../standins/source-facts'
import { openReviewFile } from '../cli/open-package'
import { handedFrom } from '../cli/account'
import { loadStandin } from '../cli/standins'
import { checkDigest, checkFrozen, verifyFile, verifyPackage } from '.'
import { frameOf } from './frame.fixture'

const DEMO = path.join(import.meta.dirname, '../../public/data/demo.luvren.zip')
const there = existsSync(DEMO)
/** What a review packs to follows from its journal and what lies beside it: for the same ones it is made once. */
const made = new Map<string, Promise<Uint8Array>>()
const HERE = {
  from: handedFrom,
  again: (packed: Packed, make: () => Promise<Uint8Array>): Promise<Uint8Array> => {
    const { entries, blobs, leftOut, unfinished } = packed
    const beside = [...blobs].map(([digest, bytes]) => [digest, digestOf(bytes)])
    const of = digestOf(JSON.stringify([entries, beside, leftOut, unfinished]))
    if (!made.has(of)) made.set(of, make())
    return made.get(of)!
  },
  standin: loadStandin,
}
const folder = mkdtempSync(path.join(tmpdir(), 'luvren-verify-'))
let unpacked: Record<string, Uint8Array> | undefined
const demo = (): Uint8Array => new Uint8Array(readFileSync(DEMO))

/** What the checks of the file itself find, which are quick. */
const faultsIn = async (bytes: Uint8Array): Promise<string[]> =>
  (await verifyFile(bytes, HERE)).checks.flatMap((c) => c.faults)

// That it is right as it is, with every run of a stand-in repeated, is asked of the command line.
describe.runIf(there)('verifying the demo', () => {
  it('catches any bit that is another, wherever it is', { timeout: 7_200_000 }, async () => {
    const whole = demo()
    expect(await faultsIn(whole)).toEqual([])
    // Half of the changes are where an archive says what it holds: few bytes, read in more than one way.
    const frame = frameOf(whole)
    const place = fc.oneof(fc.nat(whole.length - 1), fc.constantFrom(...frame))
    await fc.assert(
      fc.asyncProperty(place, fc.nat(7), async (at, bit) => {
        const changed = Uint8Array.from(whole)
        changed[at] = changed[at]! ^ (1 << bit)
        expect(await faultsIn(changed)).not.toEqual([])
      }),
      { numRuns: trials(3, 200), endOnFailure: true },
    )
  })

  it(
    'catches any value that is another, also where the manifest was made right again',
    { timeout: 7_200_000 },
    async () => {
      const files = Object.entries(unzipSync(demo())).filter(([name]) => name.startsWith('data/'))
      // What was packed again unchanged is right: so what is found below is found because of the change.
      for (const [name, bytes] of files.slice(0, 3))
        expect(await faultsIn(withManifest(name, bytes))).toEqual([])
      await fc.assert(
        fc.asyncProperty(fc.nat(files.length - 1), fc.nat(), fc.nat(), async (file, line, leaf) => {
          const [name, bytes] = files[file]!
          const changed = changeOne(bytes, line, leaf)
          expect(await faultsIn(withManifest(name, changed)), name).not.toEqual([])
        }),
        { numRuns: trials(3, 200), endOnFailure: true },
      )
    },
  )

  it(
    'reckons a frozen text again, and finds one whose number, word or digest is another',
    {
      timeout: 120_000,
    },
    async () => {
      const opened = await openReviewFile(DEMO)
      if ('problems' in opened) throw new Error('The demo does not open.')
      const { entries, told, review } = opened
      const last = entries.at(-1)!
      const context = { review, figures: told.figures, entries, source: sourceFactsOf(review) }
      const facts = factsIn(context, draftAccount(context))
      const tree = resolved(sectionDocument(context), (ref) => resolveFact(context, ref).text)
      const faults = async (change: (frozen: FrozenDocument) => FrozenDocument): Promise<string[]> => {
        const journal = { seq: last.seq, digest: last.digest }
        const bytes = frozenBytes(
          change(freezeText(tree, facts, told.figures, journal, '2026-12-01T09:00:00Z')),
        )
        const frozen: FrozenText = {
          id: 'f',
          name: 'as sent',
          at: '2026-12-01T09:00:00Z',
          digest: digestOf(bytes),
          journal: last.digest,
          purpose: 'submission',
        }
        const blob = (): Promise<Uint8Array> => Promise.resolve(bytes)
        return (await checkFrozen({ ...opened, review: { ...review, frozenTexts: [frozen] }, blob })).faults
      }
      expect(await faults((f) => f)).toEqual([])
      expect(await faults((f) => ({ ...f, figures: { ...f.figures, works: f.figures.works + 1 } }))).toEqual([
        expect.stringMatching(/works is (\d+) in it, and (?!\1)\d+ in the journal/),
      ])
      expect(await faults((f) => ({ ...f, facts: { ...f.facts, 'databases.searched': 'many' } }))).toEqual([
        expect.stringContaining('reads “many”'),
      ])
      expect(await faults((f) => ({ ...f, journal: { ...f.journal, digest: 'ab'.repeat(32) } }))).toEqual([
        expect.stringContaining('prints another digest'),
      ])
    },
  )

  it('knows a digest of its journal in hex and in words, and no other', { timeout: 240_000 }, async () => {
    const opened = await openReviewFile(DEMO)
    if ('problems' in opened) throw new Error('The demo does not open.')
    const { digest, seq } = opened.entries[700]!
    const state = (given: string): string => {
      const check = checkDigest(given, opened.entries)
      return `${check.state}: ${check.says}`
    }
    expect(state(digest)).toContain(`right: it is that of entry ${seq}`)
    expect(state(digestWords(digest).toUpperCase())).toContain(`entry ${seq}`)
    expect(state('lusab babad')).toContain('fault')
  })

  it('says of a file that is no package what it is', async () => {
    const file = path.join(folder, 'no.zip')
    writeFileSync(file, 'no archive')
    const [check, ...others] = await verifyPackage(new Uint8Array(readFileSync(file)), HERE)
    expect(others).toEqual([])
    expect(check).toMatchObject({ about: 'Package', state: 'fault' })
  })
})

/** The demo with another file in the place of one, and manifests that are right for it. */
function withManifest(name: string, bytes: Uint8Array): Uint8Array {
  const pieces: Uint8Array[] = []
  const out = new PackageWriter((piece) => pieces.push(piece))
  for (const [own, was] of Object.entries((unpacked ??= unzipSync(demo()))))
    if (own.startsWith('data/')) out.add(own.slice('data/'.length), own === name ? bytes : was)
  out.end()
  return joined(pieces)
}

/** The same file with one value changed: a leaf of its JSON, or of what is no JSON one byte. */
function changeOne(bytes: Uint8Array, line: number, leaf: number): Uint8Array {
  const text = new TextDecoder().decode(bytes)
  const changed = changeLeaf(text, line, leaf)
  if (changed !== undefined) return new TextEncoder().encode(changed)
  const other = Uint8Array.from(bytes)
  const at = leaf % other.length
  other[at] = other[at]! ^ 1
  return other
}

/** The same text with one leaf of its JSON changed: of a line of the journal, or of the whole file. */
function changeLeaf(text: string, line: number, leaf: number): string | undefined {
  const lines = text.trimEnd().split('\n')
  const byLine = lines.length > 1 && lines.every((l) => l.startsWith('{') && l.endsWith('}'))
  const at = byLine ? line % lines.length : 0
  let value: unknown
  try {
    value = JSON.parse(byLine ? lines[at]! : text)
  } catch {
    return undefined
  }
  const places: { of: Record<string, unknown>; key: string }[] = []
  const walk = (of: unknown): void => {
    if (typeof of !== 'object' || of === null) return
    for (const key of Object.keys(of)) {
      const own = of as Record<string, unknown>
      if (typeof own[key] === 'object' && own[key] !== null) walk(own[key])
      else places.push({ of: own, key })
    }
  }
  walk(value)
  if (!places.length) return undefined
  const { of, key } = places[leaf % places.length]!
  const was = of[key]
  of[key] =
    typeof was === 'number'
      ? was + 1
      : typeof was === 'boolean'
        ? !was
        : was === null
          ? 0
          : `${was as string}x`
  if (!byLine) return JSON.stringify(value)
  lines[at] = JSON.stringify(value)
  return `${lines.join('\n')}\n`
}
