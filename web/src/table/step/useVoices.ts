import { computed, onBeforeUnmount, onMounted, ref, type ComputedRef } from 'vue'

/**
 * Read aloud with a voice that is on the device; nothing is sent anywhere. Where the device has no local voice for a language, there
 * is nothing to press.
 */
export function useVoices(): {
  has: (language: string) => boolean
  speak: (text: string, language: string) => void
} {
  const voices = ref<SpeechSynthesisVoice[]>([])
  const speech = typeof window !== 'undefined' && 'speechSynthesis' in window ? window.speechSynthesis : null
  const load = (): void => {
    voices.value = speech?.getVoices().filter((v) => v.localService) ?? []
  }
  onMounted(() => {
    load()
    speech?.addEventListener('voiceschanged', load)
  })
  onBeforeUnmount(() => speech?.removeEventListener('voiceschanged', load))
  const byLanguage: ComputedRef<Map<string, SpeechSynthesisVoice>> = computed(() => {
    const map = new Map<string, SpeechSynthesisVoice>()
    for (const v of voices.value)
      for (const key of [v.lang, v.lang.split(/[-_]/)[0] ?? '']) if (!map.has(key)) map.set(key, v)
    return map
  })
  return {
    has: (language) => byLanguage.value.has(language),
    speak(text, language) {
      const voice = byLanguage.value.get(language)
      if (!speech || !voice) return
      const words = new SpeechSynthesisUtterance(text)
      words.voice = voice
      words.lang = voice.lang
      speech.cancel()
      speech.speak(words)
    },
  }
}
