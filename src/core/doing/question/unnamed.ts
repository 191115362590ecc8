/** What a database is called as long as nobody has named it. */
export const UNNAMED = 'Database'
