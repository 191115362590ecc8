// Before each file of unit tests: property tests draw from one fixed seed, so that `npm test` is the same each time.
// `npm run explore` hands in another one (SEED) each time; what it finds becomes a case of its own in the tests.
import fc from 'fast-check'

export const FIXED_SEED = 20261129
fc.configureGlobal({ seed: Number(process.env.SEED ?? FIXED_SEED) })
