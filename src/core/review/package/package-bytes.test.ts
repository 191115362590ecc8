import { execFileSync } from 'node:child_process'
import path from 'node:path'
import { describe, expect, it } from 'vitest'

const here = import.meta.dirname
const demo = path.join(here, '..', 'fixtures', 'first-form', 'demo.luvren.zip')
const repacked = (tz: string): string =>
  execFileSync(process.execPath, ['--import', 'tsx', path.join(here, 'repack.fixture.ts'), demo], {
    env: { ...process.env, TZ: tz },
    encoding: 'utf8',
  })

describe('the bytes of a package', () => {
  it('are the same in every time zone', { timeout: 60_000 }, () => {
    const [utc, west] = ['UTC', 'America/Los_Angeles'].map((tz) => repacked(tz).split(' '))
    // The zone is really another: midday in Greenwich is another hour there.
    expect(utc![0]).not.toBe(west![0])
    expect(utc![1]).toMatch(/^[0-9a-f]{64}$/)
    expect(west![1]).toBe(utc![1])
  })
})
