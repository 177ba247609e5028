/** The words and the dates of the setting's country, on every page (country-words.ts puts them there). */
import { wordsOf } from '@lea/core/amount'
import { ref, watchEffect } from 'vue'
import { lastRules } from './last-rules'

/** Whose words are said; before a setting is known, those of whoever signed in here last. */
export const country = ref(lastRules()?.country ?? 'uk')

/** A text as the setting's country says it; what is no text stays as it is. */
export const countryText = <T>(text: T): T =>
  typeof text === 'string' ? (wordsOf(text, country.value) as T & string) : text

watchEffect(() => {
  document.documentElement.lang = country.value === 'us' ? 'en-US' : 'en-GB'
})
