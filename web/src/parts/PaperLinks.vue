<script setup lang="ts">
/** The papers of a session as PDF, in the size of the paper that lies in the printer. */
import { paperLink, usePaperSize } from '../shared/paper-link'
import { useAuthStore } from '../stores/auth'

defineProps<{ id: string }>()
const auth = useAuthStore()
const size = usePaperSize()
const PAPERS = [
  ['before', 'To send before the day'],
  ['run', 'Run sheet'],
  ['allergens', 'Allergy sheet'],
  ['jobs', 'Job cards'],
  ['words', 'Word cards'],
  ['mats', 'Place mats'],
  ['shopping', 'Shopping'],
  ['labels', 'Labels'],
  ['record', 'Record'],
] as const
</script>

<template>
  <section v-if="auth.isLeader()" class="patch p-4" aria-labelledby="as-pdf">
    <h2 id="as-pdf" class="mb-2 text-xl">As PDF</h2>
    <fieldset class="mb-2">
      <legend class="sr-only">Paper</legend>
      <label v-for="s in ['A4', 'Letter']" :key="s" class="mr-4 inline-flex items-center gap-1.5"
        ><input v-model="size" type="radio" :value="s" class="size-5" />{{ s }}</label
      >
    </fieldset>
    <ul class="flex flex-wrap gap-2">
      <li v-for="[name, words] in PAPERS" :key="name">
        <a class="btn" :href="paperLink(id, name, size)" target="_blank">{{ words }}</a>
      </li>
    </ul>
  </section>
</template>
