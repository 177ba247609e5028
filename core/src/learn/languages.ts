/** Names of languages and how their scripts run; apart from the glossary, whose table no page needs for a name. */

/** Languages that the shipped glossary holds. */
export const LANGUAGES: Record<string, string> = {
  es: 'Spanish',
  fr: 'French',
  pt: 'Portuguese',
  pl: 'Polish',
  ar: 'Arabic',
  ur: 'Urdu',
  cy: 'Welsh',
  uk: 'Ukrainian',
  it: 'Italian',
  de: 'German',
  ro: 'Romanian',
  tr: 'Turkish',
  bg: 'Bulgarian',
}
/** Made when it is first asked: it takes its time. */
let names: Intl.DisplayNames | undefined

/** Name of a language by its code (BCP 47), of any that is known; undefined where the code is none. */
export function languageName(code: string): string | undefined {
  const shipped = LANGUAGES[code]
  if (shipped !== undefined) return shipped
  try {
    names ??= new Intl.DisplayNames('en', { type: 'language', fallback: 'none' })
    return names.of(code)
  } catch {
    return undefined
  }
}

const RTL = /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u
/** Words that run from right to left, by their script. */
export const runsRightToLeft = (word: string): boolean => RTL.test(word)
