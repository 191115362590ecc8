/**
 * British English out of American (CSL 1.0.2 locales; what differs is common practice, from memory): the day before the month, single quotation
 * marks outside and double ones inside, and signs that belong to the sentence behind them.
 */
export function british(american: string): string {
  const swap: Readonly<Record<string, string>> = { '“': '‘', '”': '’', '‘': '“', '’': '”' }
  return american
    .replace(/xml:lang="en-US"/, 'xml:lang="en-GB"')
    .replace(/punctuation-in-quote="true"/, 'punctuation-in-quote="false"')
    .replace(
      /(<term name="(?:open|close)-(?:inner-)?quote">)([“”‘’])/g,
      (_, term: string, mark: string) => term + swap[mark]!,
    )
    .replace(
      /<date form="text">[^]*?<\/date>/,
      '<date form="text"><date-part name="day" suffix=" "/><date-part name="month" suffix=" "/><date-part name="year"/></date>',
    )
    .replace(
      /<date form="numeric">[^]*?<\/date>/,
      '<date form="numeric"><date-part name="day" form="numeric-leading-zeros" suffix="/"/><date-part name="month" form="numeric-leading-zeros" suffix="/"/><date-part name="year"/></date>',
    )
}
