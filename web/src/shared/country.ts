/** The words and the dates of the setting's country, on every page (country-words.ts puts them there). */
import { type Country, wordsOf } from '@lea/core/amount'
import { ref, watchEffect } from 'vue'
import { lastRules } from './last-rules'

/** Whose words are said; before a setting is known, those of whoever signed in here last. */
const country = ref<Country>(lastRules()?.country ?? 'uk')

/** From now on as these rules have it; nothing changes where none are known. */
export function speakAs(rules: { country: Country } | undefined): void {
  if (rules) country.value = rules.country
}

/** A text as the setting's country says it; what is no text stays as it is. */
export const countryText = <T>(text: T): T =>
  typeof text === 'string' ? (wordsOf(text, country.value) as T & string) : text

watchEffect(() => {
  document.documentElement.lang = country.value === 'us' ? 'en-US' : 'en-GB'
})
