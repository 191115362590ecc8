// npm run explore: the property tests with free seeds and all their trials, again and again. MINUTES=30 ends it; without, it
// goes on until it is stopped. What it finds is told with its seed: it becomes a case of its own in the tests.
import { randomInt } from 'node:crypto'
import { appendFileSync, mkdirSync } from 'node:fs'
import { execFileSync, spawnSync } from 'node:child_process'
import { bin, buildData, install, root } from './lib.mjs'

install()
buildData()
mkdirSync('test-results', { recursive: true })
const until = Date.now() + Number(process.env.MINUTES ?? Infinity) * 60_000
const files = process.argv.slice(2)
const properties = execFileSync('grep', ['-rl', 'fast-check', 'src', '--include=*.test.ts'], { cwd: root })
  .toString()
  .trim()
  .split('\n')
let rounds = 0
let found = 0
while (Date.now() < until) {
  const seed = randomInt(2 ** 31)
  const { status, stdout, stderr } = spawnSync(
    bin('vitest'),
    ['run', '--testTimeout=3600000', ...(files.length ? files : properties)],
    { cwd: root, env: { ...process.env, EXPLORE: '1', SEED: String(seed) }, maxBuffer: 1e9 },
  )
  rounds++
  if (status !== 0) {
    found++
    appendFileSync('test-results/explore.txt', `SEED=${seed}\n${stdout}${stderr}\n`)
    console.log(`seed ${seed}: something was found; see test-results/explore.txt`)
  } else console.log(`seed ${seed}: nothing found`)
}
console.log(`${rounds} rounds, ${found} of them found something`)
process.exit(found ? 1 : 0)
