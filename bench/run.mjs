// npm run bench: all benchmarks, or those named: npm run bench -- terms
import { spawnSync } from 'node:child_process'
import path from 'node:path'

const ALL = [
  'engine',
  'vocabulary',
  'readers',
  'grid',
  'strategy',
  'judging',
  'judgement',
  'sheet',
  'ground',
  'records',
  'works',
  'handing',
  'selection',
  'ruling',
  'next-work',
  'kappa',
]
const asked = process.argv.slice(2)
for (const name of asked.length ? asked : ALL) {
  if (!ALL.includes(name)) {
    console.error(`There is no benchmark "${name}": choose from ${ALL.join(', ')}.`)
    process.exit(1)
  }
  console.log(`\n— ${name}`)
  const file = path.join(
    import.meta.dirname,
    ['engine', 'strategy'].includes(name) ? `${name}.mts` : `${name}.ts`,
  )
  const { status } = spawnSync(
    'node',
    ['--expose-gc', '--max-old-space-size=12000', '--import', 'tsx', file],
    { stdio: 'inherit' },
  )
  if (status) process.exit(status)
}
