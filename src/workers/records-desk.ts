/**
 * The door to the records of the open review: blocks, columns, index and works will live behind it, apart from searching
 * and from long work. Nothing lives here yet; the page still holds the records of a review itself.
 */
export class RecordsDesk {
  /** Is the worker there? For whoever waits for it to start. */
  here(): true {
    return true
  }
}
