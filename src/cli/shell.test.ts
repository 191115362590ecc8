import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { unzipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { packReview } from '../core/review'
import { builtDemo } from '../standins/built-demo.fixture'
import { parseArguments } from './arguments'
import { COMMANDS } from './commands'
import { progress } from './progress'
import { ROOT } from './root'

const folder = mkdtempSync(path.join(tmpdir(), 'luvren-shell-'))
const file = (name: string): string => path.join(folder, name)
afterAll(() => rmSync(folder, { recursive: true }))
beforeAll(
  () => writeFileSync(file('demo.zip'), packReview(builtDemo(), 'Sound in primary classrooms')),
  120_000,
)

/** A call as a person makes it. */
function shell(words: readonly string[], input?: Uint8Array) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [path.join(ROOT, 'scripts', 'luvren.mjs'), ...words],
    { ...(input ? { input } : {}), cwd: folder, maxBuffer: 64e6 },
  )
  return { status, out: new Uint8Array(stdout), text: stdout.toString(), errors: stderr.toString() }
}

describe('the command line from a shell', { timeout: 120_000 }, () => {
  it('names every command, and says more of each with an example that is understood', () => {
    const { status, text } = shell(['help'])
    expect(status).toBe(0)
    for (const [name, { example, options, files }] of Object.entries(COMMANDS)) {
      expect(text).toContain(`\n  ${name} `)
      const words = [...example.matchAll(/'([^']*)'|(\S+)/g)].map((m) => m[1] ?? m[2]!)
      expect(() => parseArguments(words, options, files)).not.toThrow()
    }
    const own = shell(['pack', '--help'])
    expect(own.status).toBe(0)
    expect(own.text).toContain('pack review.luvren.zip nameless.luvren.zip --without names,texts')
    expect(shell(['help', 'pack']).text).toBe(own.text)
  })

  it('tells a call that was not understood from a file in which something is wrong', () => {
    expect(shell(['unfold'])).toMatchObject({ status: 2, text: '' })
    expect(shell(['verify'])).toMatchObject({ status: 2, errors: 'Give one package.\n' })
    writeFileSync(file('no.zip'), 'no package')
    expect(shell(['verify', file('no.zip')]).status).toBe(1)
  })

  it('checks a package from standard input with its runs on another core, and finds the same as in one', () => {
    const bytes = new Uint8Array(readFileSync(file('demo.zip')))
    const { status, text, errors } = shell(['verify', '-'], bytes)
    expect(text).toContain('102 runs of stand-ins repeated in their releases')
    expect(text).toContain('No fault was found. All 10 checks were made.')
    expect([status, errors]).toEqual([0, ''])
  })

  it('writes a section and a package to standard output, and nothing else there', () => {
    const section = shell(['account', file('demo.zip'), '-', '--to', 'md'])
    expect(section.text).toMatch(/^# /)
    const packed = shell(['pack', file('demo.zip'), '-', '--without', 'names'])
    expect(Object.keys(unzipSync(packed.out))).toContain('data/index.html')
    const listed = shell(['open', '-', '--list'], packed.out)
    expect(listed.text).toMatch(/\n +[\d,]+ {2}data\/index\.html\n/)
  })
})

describe('progress', () => {
  const seen = (isTTY: boolean): string => {
    let text = ''
    const to = { isTTY, write: (words: string) => Boolean((text += words)) }
    const told = progress(to as never)
    told.say('opening')
    told.end()
    return text
  }
  it('is one line that goes away, and is kept out of what is not a screen', () => {
    expect(seen(true)).toBe('\r\x1b[Kopening …\r\x1b[K')
    expect(seen(false)).toBe('')
  })
})
