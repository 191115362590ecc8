// What ships with Luvren and under which licence, from the lock file. `node scripts/licences.mjs` writes the list that the
// page of licences shows; with --check it fails where that list is another, or a licence is not among those that may ship.
import { readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { root } from './lib.mjs'

/** Licences that may ship, as packages name them (SPDX). What more they ask for is done: see NOTICE. */
const MAY_SHIP = new Set([
  'MIT',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'MIT AND ISC AND BSD-3-Clause',
  'MIT AND Zlib',
  '(MIT AND Zlib)',
  '(MIT OR GPL-3.0-or-later)',
  '(MPL-2.0 OR Apache-2.0)',
  'MPL-2.0',
  'OFL-1.1',
  'CC-BY-4.0',
  'CC0-1.0',
  'CPAL-1.0 OR AGPL-1.0',
  'Unlicense',
])
const FILE = path.join(root, 'src', 'app', 'licences', 'packages.json')

/** Packages that the app is made of: no tools, and no programs of one system alone. */
function shipped() {
  const lock = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'))
  const found = new Map()
  for (const [at, { version, license, dev, optional, devOptional }] of Object.entries(lock.packages)) {
    if (!at || dev || optional || devOptional) continue
    const name = at.replace(/^.*node_modules\//, '')
    found.set(`${name} ${version}`, { name, version, licence: license ?? 'not named' })
  }
  return [...found.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
}

const packages = shipped()
const wrong = packages.filter((p) => !MAY_SHIP.has(p.licence))
for (const p of wrong)
  console.error(`${p.name} ${p.version}: ${p.licence} is not among the licences that may ship.`)
const text = `${JSON.stringify(packages, undefined, 2)}\n`
if (process.argv.includes('--check')) {
  const same = JSON.stringify(JSON.parse(readFileSync(FILE, 'utf8'))) === JSON.stringify(packages)
  if (!same) console.error('The list of licences is another: run node scripts/licences.mjs.')
  console.log(`${packages.length} packages`)
  process.exit(wrong.length || !same ? 1 : 0)
}
writeFileSync(FILE, text)
console.log(`${packages.length} packages`)
process.exit(wrong.length ? 1 : 0)
