// npm run build: the app as it is served, and the list of what stands in its pages.
import { bin, listPages, run } from './lib.mjs'

const status = run(bin('next'), ['build'])
if (status === 0) await listPages()
process.exit(status)
