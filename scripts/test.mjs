// npm test: format, lint, types, unit tests, build, end-to-end tests; the last line counts what passed.
import { readFileSync, rmSync } from 'node:fs'
import { bin, buildApp, buildData, findChromium, install, installCheckers, run } from './lib.mjs'

install()
installCheckers()
const UNIT = 'test-results/unit.json'
const E2E = 'test-results/e2e.json'
let passed = 0
let failed = 0
const step = (what, command, args, env = {}) => {
  console.log(`\n— ${what}`)
  const ok = run(command, args, { env: { ...process.env, ...env } }) === 0
  if (!ok) console.error(`${what}: failed`)
  return ok
}
const count = (ok) => (ok ? passed++ : failed++)

rmSync('test-results', { recursive: true, force: true })
count(step('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']))
buildData()
count(step('Lint', bin('eslint'), ['.']))
count(step('Direction of imports', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']))
count(step('Types', bin('tsc'), ['--noEmit']))
const unit = step('Unit tests', bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${UNIT}`,
])
try {
  const report = JSON.parse(readFileSync(UNIT, 'utf8'))
  passed += report.numPassedTests
  failed += report.numFailedTests
  if (!unit && !report.numFailedTests) failed++
} catch {
  failed++
}
try {
  buildApp()
  passed++
} catch {
  failed++
}
const chromium = findChromium()
if (!chromium) {
  console.error(
    'No Chromium: install the package chromium, or name one in CHROMIUM_PATH. The end-to-end tests were not run.',
  )
  failed++
} else {
  const e2e = step('End-to-end tests', bin('playwright'), ['test', '--reporter=list,json'], {
    CHROMIUM_PATH: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: E2E,
  })
  try {
    const { stats } = JSON.parse(readFileSync(E2E, 'utf8'))
    passed += stats.expected + stats.flaky
    failed += stats.unexpected
    if (!e2e && !stats.unexpected) failed++
  } catch {
    failed++
  }
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
