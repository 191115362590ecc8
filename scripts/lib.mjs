// What the scripts share: installing, building when stale, finding a browser.
import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync, mkdirSync } from 'node:fs'
import path from 'node:path'
import { listHashes } from './headers.mjs'
import { step } from './lanes.mjs'

export const root = path.join(import.meta.dirname, '..')
process.chdir(root)
process.env.NEXT_TELEMETRY_DISABLED = '1'

export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { stdio: 'inherit', cwd: root, ...options })
  return result.status ?? 1
}

export function must(what, command, args) {
  console.log(`\n— ${what}`)
  if (run(command, args) !== 0) {
    console.error(`${what} failed.`)
    process.exit(1)
  }
}

export const bin = (name) => path.join(root, 'node_modules', '.bin', name)

/** Installs when the lock file is newer than what is installed. `npm install`: see docs/development.md. */
export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Luvren needs Node 20.19 or later; this is ${process.versions.node}.`)
    process.exit(1)
  }
  const mark = path.join(root, 'node_modules', '.package-lock.json')
  if (
    existsSync(mark) &&
    statSync(mark).mtimeMs >= statSync(path.join(root, 'package-lock.json')).mtimeMs - 1000
  )
    return
  must('Installing packages', 'npm', ['install', '--no-audit', '--no-fund'])
}

function newest(dir) {
  let latest = 0
  for (const entry of readdirSync(dir, { withFileTypes: true })) {
    const file = path.join(dir, entry.name)
    latest = Math.max(latest, entry.isDirectory() ? newest(file) : statSync(file).mtimeMs)
  }
  return latest
}

const DATA = 'Building the data of the stand-ins'
const APP = 'Building the app'

/** Is what the stand-ins are built from newer than their data? */
function dataIsStale() {
  const mark = path.join(root, 'public', 'data', '.built')
  const source = Math.max(
    newest(path.join(root, 'src', 'standins')),
    newest(path.join(root, 'src', 'cli')),
    newest(path.join(root, 'src', 'core')),
    newest(path.join(root, 'scripts')),
  )
  return !existsSync(mark) || statSync(mark).mtimeMs < source
}
function markData() {
  const mark = path.join(root, 'public', 'data', '.built')
  mkdirSync(path.dirname(mark), { recursive: true })
  writeFileSync(mark, '')
}

/** Builds the data of the stand-ins when their source is newer. */
export function buildData() {
  if (!dataIsStale()) return
  must(DATA, bin('tsx'), ['scripts/build-data.ts'])
  markData()
}

/** The same as a step of a lane. */
export async function buildDataStep() {
  if (!dataIsStale()) return true
  const ok = await step(DATA, bin('tsx'), ['scripts/build-data.ts'])
  if (ok) markData()
  return ok
}

/** Is the source of the app newer than its last build? */
function appIsStale() {
  const mark = path.join(root, '.next', 'script-hashes.json')
  const source = Math.max(
    newest(path.join(root, 'src')),
    statSync('package-lock.json').mtimeMs,
    statSync('next.config.ts').mtimeMs,
    statSync('scripts/offline.mjs').mtimeMs,
  )
  return !existsSync(mark) || statSync(mark).mtimeMs < source
}

/** Builds the app when its source is newer than the last build. */
export async function buildApp() {
  buildData()
  if (!appIsStale()) return
  must(APP, bin('next'), ['build'])
  await listPages()
}

/** What is made of the pages that were built: which scripts stand in them, and what keeps them in a browser. */
export async function listPages() {
  const { writeServiceWorker } = await import('./offline.mjs')
  await writeServiceWorker()
  listHashes(path.join(root, '.next', 'server', 'app'), path.join(root, '.next', 'script-hashes.json'))
}

/** The same as a step of a lane; the pages need no data to be built. */
export async function buildAppStep(env = {}) {
  if (!appIsStale()) return true
  const ok = await step(APP, bin('next'), ['build'], env)
  if (ok) await listPages()
  return ok
}

/**
 * A Chromium: CHROMIUM_PATH, else Debian's build without a window, which is a fifth faster, else one with. Where apt is there
 * they are installed. Undefined if there is none.
 */
export function findChromium() {
  const shell = '/usr/bin/chromium-headless-shell'
  const others = ['/usr/bin/chromium', '/usr/bin/chromium-browser']
  const found = () => [process.env.CHROMIUM_PATH, shell, ...others].find((p) => p && existsSync(p))
  if (found() === process.env.CHROMIUM_PATH && found()) return found()
  if (!existsSync(shell)) fromDebian('Chromium without a window', ['chromium-headless-shell'])
  if (!found()) fromDebian('Chromium', ['chromium'])
  return found()
}

/** Installs packages of Debian, where apt is there; whether that helped is for the caller to see. */
function fromDebian(what, packages) {
  if (!existsSync('/usr/bin/apt-get')) return
  console.log(`\n— Installing ${what} from Debian’s packages`)
  const apt = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', '-n', 'apt-get']
  const options = ['-o', 'DPkg::Lock::Timeout=500', '-q']
  run(apt[0], [...apt.slice(1), ...options, 'update'])
  run(apt[0], [...apt.slice(1), ...options, 'install', '-y', ...packages])
}

/** Independent programs that files are checked with; the tests that need one that cannot be had say so and are skipped. */
export function installCheckers() {
  if (!existsSync('/usr/bin/ris2xml')) fromDebian('converters of bibliographies', ['bibutils'])
}

/** Whatever compiles LaTeX, installed while other steps go on: it takes a minute, and nothing but a test asks for it. */
export function installTex() {
  if (existsSync('/usr/bin/pdflatex') || !existsSync('/usr/bin/apt-get')) return Promise.resolve()
  const apt = process.getuid?.() === 0 ? 'apt-get' : 'sudo -n apt-get'
  const options = '-o DPkg::Lock::Timeout=500 -q'
  const packages = 'texlive-latex-extra lmodern'
  const command = `${apt} ${options} update && ${apt} ${options} install -y --no-install-recommends ${packages}`
  return new Promise((done) => {
    const child = spawn('sh', ['-c', command], { cwd: root, stdio: 'ignore' })
    child.on('error', done)
    child.on('close', done)
  })
}

export { execFileSync, readFileSync }
