/** A package of the demo as version 6 wrote it, with works ruled differently, one of them settled, and a text frozen in it. */
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { plainJson } from '../core/base'
import { figuresOfVersion } from '../core/figures'
import { readWithLimits } from '../core/profile'
import { print, type LimitValue } from '../core/query'
import { runStrategy } from '../core/strategy'
import { handedFrom } from '../cli/account'
import { openReviewFile } from '../cli/open-package'
import { loadStandin } from '../cli/standins'
import { endOf, verifyPackage } from '.'

const FOLDER = path.join(import.meta.dirname, '../core/review/fixtures/version-6')
const FILE = path.join(FOLDER, 'demo.luvren.zip')
/** Every number of it as version 1 of the figures counted it. */
const FIGURES = readFileSync(path.join(FOLDER, 'figures.json'), 'utf8').trim()

const opened = async () => {
  const read = await openReviewFile(FILE)
  if ('problems' in read) throw new Error(read.problems.map((p) => p.message).join('\n'))
  return read
}

describe('a package that version 6 wrote', () => {
  it('opens, and shows the figures that it showed then, by the version that counted them', async () => {
    const { entries, beside, review } = await opened()
    expect(review.frozenTexts).toHaveLength(1)
    const last = entries.at(-1)!.seq
    expect(plainJson(figuresOfVersion(1, entries, last, beside))).toBe(FIGURES)
    expect(figuresOfVersion(99, entries, last, beside)).toBeUndefined()
  })

  it(
    'verifies without a fault, its works made again by the rules that were in force, its frozen text reckoned again',
    { timeout: 180_000 },
    async () => {
      const checks = await verifyPackage(new Uint8Array(readFileSync(FILE)), {
        from: handedFrom,
        standin: loadStandin,
      })
      expect(checks.flatMap((c) => c.faults)).toEqual([])
      for (const about of ['Package', 'Works', 'Flow', 'Runs'])
        expect(checks.find((c) => c.about === about)?.state, about).toBe('right')
      // Its numbers were reckoned again; its words are those of another writer, and that is said.
      const frozen = checks.find((c) => c.about === 'Frozen texts')!
      expect(frozen.open).toEqual([expect.stringContaining('was written by another version')])
      expect(endOf(checks)).toBe(3)
    },
  )

  it(
    'finds with every text that was sent what it found then, typed line by line',
    { timeout: 120_000 },
    async () => {
      interface Sent {
        source: string
        release: string
        number: number
        sent: string
        limits: LimitValue[]
        hits: number
      }
      const all = JSON.parse(readFileSync(path.join(FOLDER, 'sent.json'), 'utf8')) as Sent[]
      expect(all.length).toBeGreaterThan(100)
      for (const key of new Set(all.map((s) => `${s.source}@${s.release}`))) {
        const own = all.filter((s) => `${s.source}@${s.release}` === key).sort((a, b) => a.number - b.number)
        const [id, release] = key.split('@') as [string, string]
        const source = loadStandin(id, release)
        const lines = own.map(({ sent, limits }, n) => {
          const read = readWithLimits(sent, source.profile)
          const others = limits.filter((l) => !read.limits.some((r) => r.kind === l.kind))
          return {
            id: String(n),
            text: read.tree ? print(read.tree) : '',
            limits: [...read.limits, ...others],
          }
        })
        expect(
          own.map((s) => s.number),
          key,
        ).toEqual(own.map((_, n) => n + 1))
        expect(
          runStrategy(source, lines).map((r) => r.docs?.length),
          key,
        ).toEqual(own.map((s) => s.hits))
      }
    },
  )
})
