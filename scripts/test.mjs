// npm test: format, lint, types, unit tests, build, end-to-end tests; the last line counts what passed, the one before it
// says what each step took.
import { readFileSync, rmSync } from 'node:fs'
import {
  bin,
  buildDataStep,
  buildAppStep,
  findChromium,
  install,
  installCheckers,
  installTex,
  run,
} from './lib.mjs'
import { lane, step, timed, timesTaken } from './lanes.mjs'

install()
installCheckers()
const tex = installTex()
const UNIT = 'test-results/unit.json'
const E2E = 'test-results/e2e.json'
// The compiler that is quick; the linter has the one that it can ask.
const TYPES = ['node_modules/typescript7/bin/tsc', '--noEmit']
let passed = 0
let failed = 0
const count = (ok) => (ok ? passed++ : failed++)
/** A step that tells of itself while it goes on. */
const shown = (what, command, args, env = {}) =>
  timed(what, async () => {
    console.log(`\n— ${what}`)
    const ok = run(command, args, { env: { ...process.env, ...env } }) === 0
    if (!ok) console.error(`${what}: failed`)
    return ok
  })

rmSync('test-results', { recursive: true, force: true })
// What does not need what another makes goes on beside it: one core each, and the unit tests on what the build leaves.
let unit = false
const lanes = await Promise.all([
  lane(
    () => step('Types', process.execPath, TYPES),
    // They were checked before, of the tests too.
    () => buildAppStep({ LUVREN_TYPES_CHECKED: '1' }),
    () => step('What pages load', process.execPath, ['scripts/sizes.mjs']),
  ),
  lane(
    () => buildDataStep(),
    () => step('Format', bin('oxfmt'), ['--check']),
    () => step('Lint', bin('oxlint'), ['--type-aware']),
    () => step('Licences', process.execPath, ['scripts/licences.mjs', '--check']),
    () => step('Direction of imports', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']),
  ).then(async (ready) => {
    await tex
    const args = ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${UNIT}`]
    unit = await step('Unit tests', bin('vitest'), args)
    return ready
  }),
])
for (const ok of lanes.flat()) count(ok)
try {
  const report = JSON.parse(readFileSync(UNIT, 'utf8'))
  passed += report.numPassedTests
  failed += report.numFailedTests
  if (!unit && !report.numFailedTests) failed++
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
  const e2e = await shown('End-to-end tests', bin('playwright'), ['test', '--reporter=list,json'], {
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
console.log(`\n${timesTaken()}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
