/** Ids from words: they hold between readings, and stand once. */
const slug = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)

/** @param usual where the words give none */
export function idFor(words: string, usual: string, taken: readonly { id: string }[] = []): string {
  const base = slug(words) || usual
  if (!taken.some((t) => t.id === base)) return base
  let n = 2
  while (taken.some((t) => t.id === `${base}-${n}`)) n += 1
  return `${base}-${n}`
}
