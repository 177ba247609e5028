/**
 * Passwords that are guessed first: words that many take, rows of the keyboard, one thing again and again, a name with a year.
 * Source: NIST SP 800-63B 5.1.1.2 (compare with what is commonly used, repeated, in sequence, or about the service or person); the words
 * are common practice, from memory.
 */
const COMMON = new Set(
  `password passwort chocolate motdepasse contrasena haslo welcome willkommen bienvenue letmein iloveyou princess sunshine football baseball
   superman batman dragon monkey master shadow michael jennifer charlie whatever trustno changeme default administrator admin root
   qwerty qwertz azerty qwertyuiop qwertzuiop asdfghjkl zxcvbnm qazwsx qazwsxedc starwars pokemon computer internet freedom
   nothing secret mypassword newpassword passwordpassword testtest test testing guest login signin nursery kindergarten preschool
   library kitchen cooking recipe recipes children school teacher manchester liverpool arsenal chelsea summer winter spring autumn
   january february march april may june july august september october november december monday tuesday wednesday thursday friday`
    .split(/\s+/)
    .filter(Boolean),
)
const ROWS = [
  'abcdefghijklmnopqrstuvwxyz',
  '01234567890',
  'qwertyuiop',
  'asdfghjkl',
  'zxcvbnm',
  'qwertzuiop',
  'azertyuiop',
]
const LETTERS: Record<string, string> = {
  '0': 'o',
  '1': 'i',
  '3': 'e',
  '4': 'a',
  '5': 's',
  '7': 't',
  '@': 'a',
  $: 's',
  '!': 'i',
}

/** So many different characters at least. */
const LEAST_DIFFERENT = 5

/**
 * Why a password would be guessed, in words; null where nothing speaks against it.
 * @param about words of the person and the setting: name, sign-in name
 */
export function passwordFault(password: string, about: readonly string[] = []): string | null {
  const plain = password.toLowerCase()
  if (password.trim().length < 10) return 'Password must have at least 10 characters that are not blanks'
  if (new Set(plain).size < LEAST_DIFFERENT)
    return `Password is guessed quickly: it needs at least ${LEAST_DIFFERENT} different characters`
  if (/^(.{1,6})\1+.{0,2}$/su.test(plain))
    return 'Password is guessed quickly: it is one thing again and again'
  if (ROWS.some((row) => runs(plain, row) || runs(plain, backwards(row))))
    return 'Password is guessed quickly: it runs along the keyboard, the alphabet or the numbers'
  const bare = plain.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, '')
  const words = [
    plain,
    bare.replace(/[013457@$!]/g, (c) => LETTERS[c] ?? c),
    plain.replace(/[013457@$!]/g, (c) => LETTERS[c] ?? c),
  ].map((w) => w.replace(/[^\p{L}]/gu, ''))
  if (words.some((w) => w === '' || COMMON.has(w) || COMMON.has(w.replace(/s$/, ''))))
    return 'Password is one of those that are tried first: take a few words that belong to nobody but you'
  const own = about.map((a) => a.toLowerCase().replace(/[^\p{L}]/gu, '')).filter((a) => a.length >= 3)
  if (own.some((a) => words.some((w) => w.replaceAll(a, '').length < 4)))
    return 'Password is your name, or almost: take a few words that belong to nobody but you'
  return null
}

const backwards = (row: string): string => Array.from(row).reverse().join('')

/** Three quarters of it is one run along a row. */
function runs(password: string, row: string): boolean {
  const least = Math.max(6, Math.ceil(password.length * 0.75))
  for (let at = 0; at + least <= row.length; at++)
    if (password.includes(row.slice(at, at + least))) return true
  return false
}
