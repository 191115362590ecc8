/** What a file is that holds no records as they are read here, and the way to one that does. */
interface Kind {
  is: string
  way: string
}
const EXPORT = 'Export the records from the database as RIS, BibTeX or CSV.'
const TABLE = 'Save the sheet as CSV (UTF-8) and bring that in.'

const begins = (bytes: Uint8Array, ...signs: number[]): boolean => signs.every((sign, i) => bytes[i] === sign)

/** Says by its first bytes what a file is that is none of the formats here; undefined where that cannot be told. */
export function kindOfFile(bytes: Uint8Array): Kind | undefined {
  if (!bytes.length) return { is: 'an empty file', way: EXPORT }
  const text = String.fromCharCode(...bytes.subarray(0, 6000))
  if (begins(bytes, 0x50, 0x4b)) {
    if (/word\//.test(text)) return { is: 'a document of a word processor', way: EXPORT }
    if (/xl\//.test(text)) return { is: 'a sheet of a table program', way: TABLE }
    if (/mimetypeapplication\/vnd\.oasis\.opendocument\.spreadsheet/.test(text))
      return { is: 'a sheet of a table program', way: TABLE }
    if (/mimetypeapplication\/vnd\.oasis\.opendocument/.test(text))
      return { is: 'a document of a word processor', way: EXPORT }
    if (/journal\.jsonl|bagit\.txt/.test(text))
      return { is: 'a package of a review', way: 'Open it from the shelf: it is a review of its own.' }
    return { is: 'a zip archive', way: 'Unpack it and bring in the file of records inside.' }
  }
  if (begins(bytes, 0x1f, 0x8b))
    return { is: 'a gzip archive', way: 'Unpack it and bring in the file inside.' }
  if (begins(bytes, 0x25, 0x50, 0x44, 0x46))
    return { is: 'a PDF', way: `It can be read by people alone. ${EXPORT}` }
  if (begins(bytes, 0xd0, 0xcf, 0x11, 0xe0)) return { is: 'a file of an older office program', way: EXPORT }
  if (begins(bytes, 0x89, 0x50, 0x4e, 0x47) || begins(bytes, 0xff, 0xd8, 0xff))
    return { is: 'a picture', way: EXPORT }
  if (/^\s*\{\\rtf/.test(text)) return { is: 'a rich text', way: EXPORT }
  if (/^\s*(?:\xef\xbb\xbf)?(?:<!--[^]*?-->\s*)?<(?:!doctype html|html)\b/i.test(text))
    return { is: 'a page of HTML', way: `Was the page of results saved, or a page to sign in? ${EXPORT}` }
  if (/^\s*(?:\xef\xbb\xbf)?<\?xml/.test(text)) return { is: 'a file of XML', way: EXPORT }
  return undefined
}

/** The same in one sentence with its remedy. */
export function kindWords(bytes: Uint8Array): string | undefined {
  const kind = kindOfFile(bytes)
  return kind && `This is ${kind.is}, and holds no records that can be read. ${kind.way}`
}
