/**
 * Raised when another reader makes something else of a file: a file that was brought in is read again by its own alone.
 * 2: signs that no document can hold are left out. 3: types by one table, or inferred; names by one reader.
 */
export const READER_VERSION = 3
