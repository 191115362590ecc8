import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { unzipSync } from 'fflate'
import { afterAll, describe, expect, it } from 'vitest'
import { toLatex, type DocumentTree } from '../core/account'

const DEMO = path.join(import.meta.dirname, '../../public/data/demo.luvren.zip')
const hasTex = spawnSync('pdflatex', ['--version']).status === 0
if (!hasTex) process.stdout.write('TeX is missing: that LaTeX files compile was not tried.\n')
const folder = mkdtempSync(path.join(tmpdir(), 'luvren-tex-'))
afterAll(() => rmSync(folder, { recursive: true }))

/** What TeX says of a file that it reads twice, so that references are known; throws where it stops at an error. */
function compiled(name: string, tex: string): string {
  writeFileSync(path.join(folder, `${name}.tex`), tex)
  const run = (): string =>
    execFileSync('pdflatex', ['-interaction=nonstopmode', '-halt-on-error', `${name}.tex`], {
      cwd: folder,
      encoding: 'latin1',
    })
  run()
  return run()
}
/** Boxes that stand out by more than a point, and references that lead nowhere. */
const faultsIn = (log: string): string[] =>
  log
    .split('\n')
    .filter(
      (l) =>
        Number(/^Overfull \\hbox \(([\d.]+)pt/.exec(l)?.[1] ?? 0) > 1 ||
        /undefined|multiply defined/i.test(l),
    )

const text = (words: string) => ({ type: 'text' as const, text: words })

const HOSTILE: DocumentTree = {
  title: 'A \\title{} & 100 % of_it # $x$ ~ ^ <b> | "q"',
  authors: ['Q. O’Neill', 'M. Øst'],
  day: '2026-11-30',
  blocks: [
    { kind: 'heading', level: 1, content: [text('Where')] },
    {
      kind: 'paragraph',
      content: [text('See Table 1, Figure 1 and Appendix B; https://doi.org/10.5555/a_b%20(c)#d.')],
    },
    {
      kind: 'table',
      caption: [text('One with ~ and {braces}')],
      head: ['Uncommonlylongwordinahead', 'B'],
      rows: [[[text('\\input{x} %')], [text(`${'x'.repeat(200)} _ ^`)]]],
      mono: [1],
    },
    { kind: 'figure', caption: [text('A drawing')], svg: '<svg><circle r="1"/></svg>', alt: 'Ten & ten.' },
    { kind: 'heading', level: 1, content: [text('Appendix B. Strategies')], page: true },
  ],
}

describe.runIf(hasTex)('a section as LaTeX', { timeout: 180_000 }, () => {
  it.runIf(existsSync(DEMO))(
    'compiles as the demo hands it out, its drawing in it, with nothing that stands out',
    () => {
      const tex = new TextDecoder().decode(
        unzipSync(new Uint8Array(readFileSync(DEMO)))['data/account/section.tex'],
      )
      expect(tex).toContain('\\begin{tikzpicture}')
      expect(tex).toMatch(/Table~\\ref\{table-1\}/)
      expect(tex).toMatch(/\\hyperref\[appendix-b\]/)
      expect(faultsIn(compiled('demo', tex))).toEqual([])
    },
  )

  it('compiles whatever stands in it', () => {
    expect(faultsIn(compiled('hostile', toLatex(HOSTILE)))).toEqual([])
  })
})
