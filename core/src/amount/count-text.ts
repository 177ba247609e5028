/**
 * How many of something, in English: `1 stop`, `3 stops`.
 * @param n a whole number @param many where it is not the word with an s: `children`, `stops are`
 */
export const countText = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`
