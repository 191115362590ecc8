export { departures, protocolInForce, type Departure } from './departures'
export { planDifferences, type Difference } from './differences'
export { differenceWords, planDigest, protocolDocument } from './document'
