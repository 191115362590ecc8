/**
 * Stands in the app for the modules with which a reader of references could fetch files: nothing is fetched here, and
 * what tries to is told so.
 */
export default function noFetch(): never {
  throw new Error('Nothing is fetched: paste the text itself.')
}
export class Headers {}
