<script setup lang="ts">
/** The whole setting as one file: out at any time, in where there is nothing to lose. */
import { ref } from 'vue'
import { apiBytes, inWords } from '../shared/api'
import Notice from '../parts/Notice.vue'
import { useSettingStore } from '../stores/setting'

const settingStore = useSettingStore()
const fault = ref('')
const done = ref('')
const working = ref(false)

async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  fault.value = ''
  done.value = ''
  working.value = true
  try {
    const read = await apiBytes<{ children: number; recipes: number; sessions: number }>('/archive', file)
    done.value = `${read.children} children, ${read.recipes} recipes and ${read.sessions} sessions were read.`
    await settingStore.load()
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    working.value = false
    input.value = ''
  }
}
</script>

<template>
  <section aria-label="The whole setting as one file">
    <p class="mb-2 text-soft">
      A ZIP of JSON files: rules, adults, children, recipes, foods, packets, words, and every session with its
      plan and what happened. Passwords stay here. It holds the children’s data: keep it as you keep their
      files.
    </p>
    <p class="flex flex-wrap gap-2">
      <a class="btn" href="/api/archive" download>Save the archive</a>
      <label class="btn"
        >Read an archive in<input
          type="file"
          accept=".zip,application/zip"
          class="sr-only"
          :disabled="working"
          @change="open"
      /></label>
    </p>
    <p class="mt-1 text-sm text-soft">It is read only into a setting without children and sessions.</p>
    <p v-if="working" role="status">Reading the archive …</p>
    <p v-if="done" role="status" class="font-semibold">{{ done }}</p>
    <Notice v-if="fault" tone="fault" class="mt-2">{{ fault }}</Notice>
  </section>
</template>
