/** What an error says, whatever was thrown: its message, else the thing itself as text. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))
