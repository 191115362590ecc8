// npm run luvren: the command line. Its modules are put into a few files first, which takes a quarter of a second; reading
// a thousand of them one by one takes three.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'

const require = createRequire(import.meta.url)
const root = path.join(import.meta.dirname, '..')
process.env.LUVREN_ROOT = root
const cache = path.join(root, 'node_modules', '.cache', 'luvren')

const { outputFiles } = await build({
  absWorkingDir: root,
  entryPoints: ['src/cli/main.ts', 'src/cli/runs-worker.ts'],
  bundle: true,
  splitting: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  packages: 'external',
  // Packages are read from where they are installed, but for tables in JSON, which Node takes only when it is told to.
  plugins: [
    {
      name: 'tables',
      setup: ({ onResolve }) =>
        onResolve({ filter: /^[^.].*\.json$/ }, ({ path: name }) => ({ path: require.resolve(name) })),
    },
  ],
  sourcemap: 'inline',
  outdir: 'out',
  outExtension: { '.js': '.mjs' },
  write: false,
  logLevel: 'error',
})
// Each state of the program has a folder of its own: two that are started at once do not write into each other.
const hash = createHash('sha256')
for (const { path: name, contents } of outputFiles) hash.update(name).update(contents)
const folder = path.join(cache, hash.digest('hex').slice(0, 16))
if (!existsSync(folder)) {
  const fresh = `${folder}.${process.pid}`
  mkdirSync(fresh, { recursive: true })
  for (const { path: name, contents } of outputFiles)
    writeFileSync(path.join(fresh, path.basename(name)), contents)
  try {
    renameSync(fresh, folder)
  } catch {
    // Another one was faster: its files are the same.
    rmSync(fresh, { recursive: true })
  }
  const old = Date.now() - 24 * 3600 * 1000
  for (const name of readdirSync(cache)) {
    const other = path.join(cache, name)
    if (other !== folder && statSync(other).mtimeMs < old) rmSync(other, { recursive: true })
  }
}
process.argv.splice(1, 1, path.join(folder, 'main.mjs'))
await import(pathToFileURL(process.argv[1]).href)
