import { parentPort } from 'node:worker_threads'
import type { Review } from '../core/review'
import { checkRuns } from '../verify'
import { loadStandin } from './standins'

// Runs are repeated here while the files of a package are made again elsewhere: the two take about as long.
parentPort!.once('message', (review: Review) => {
  checkRuns({ review }, loadStandin).then(
    (check) => parentPort!.postMessage(check),
    (error: unknown) => {
      throw error
    },
  )
})
