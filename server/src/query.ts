/** What stands behind a question mark, as text: a list or an object of it is no answer. */
export const queryText = (value: unknown): string => (typeof value === 'string' ? value : '')
