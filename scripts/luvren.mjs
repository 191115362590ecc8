// npm run luvren: the command line. It is put into a few files once, packages and all, and started from there for as long as
// its sources stay the same: reading a thousand modules one by one takes seconds.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { pathToFileURL } from 'node:url'

const root = path.join(import.meta.dirname, '..')
process.env.LUVREN_ROOT = root
const cache = path.join(root, 'node_modules', '.cache', 'luvren')

/** What the program is made from: its sources, the packages that are installed, and how it is put together. */
function state() {
  const hash = createHash('sha256')
  const sources = readdirSync(path.join(root, 'src'), { recursive: true })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => path.join('src', name))
  for (const name of [
    'package-lock.json',
    'node_modules/.package-lock.json',
    'tsconfig.json',
    'scripts/luvren.mjs',
    ...sources.sort(),
  ]) {
    const file = path.join(root, name)
    hash.update(`${name}\n`)
    if (existsSync(file)) hash.update(readFileSync(file))
  }
  return hash.digest('hex').slice(0, 16)
}

async function putTogether(folder) {
  const { build } = await import('esbuild')
  // Each is made apart and then given its name: two that are started at once do not write into each other.
  const fresh = `${folder}.${process.pid}`
  await build({
    absWorkingDir: root,
    entryPoints: ['src/cli/main.ts', 'src/cli/runs-worker.ts'],
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    // Packages of the older kind look for what Node gives them.
    banner: {
      js: `import { createRequire as createRequireHere } from 'node:module'
import { fileURLToPath as pathHere } from 'node:url'
const require = createRequireHere(import.meta.url)
const __filename = pathHere(import.meta.url)
const __dirname = pathHere(new URL('.', import.meta.url))`,
    },
    sourcemap: 'linked',
    outdir: fresh,
    outExtension: { '.js': '.mjs' },
    logLevel: 'error',
  })
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

const folder = path.join(cache, state())
if (!existsSync(folder)) {
  mkdirSync(cache, { recursive: true })
  await putTogether(folder)
}
process.argv.splice(1, 1, path.join(folder, 'main.mjs'))
await import(pathToFileURL(process.argv[1]).href)
