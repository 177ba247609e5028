<script setup lang="ts">
import { onMounted, shallowRef, ref } from 'vue'
import type { SessionRecord } from '@lea/core'
import { api, inWords } from '../api'
import Notice from '../parts/Notice.vue'
import { useHouse } from '../stores/house'
import { dayText } from '../words'

const house = useHouse()
const records = shallowRef<SessionRecord[] | null>(null)
const fault = ref('')
onMounted(async () => {
  await house.load()
  try {
    records.value = await api<SessionRecord[]>('GET', '/record')
  } catch (e) {
    fault.value = inWords(e)
  }
})
</script>

<template>
  <main id="main" class="mx-auto grid max-w-6xl gap-6 px-5 py-4 lg:grid-cols-[2fr_1fr]">
    <section>
      <h1 class="mb-3 text-3xl">Record</h1>
      <Notice v-if="fault" tone="fault">{{ fault }}</Notice>
      <p v-else-if="!records" role="status">Opening the record …</p>
      <Notice v-else-if="records.length === 0"
        >Nothing yet. What is tapped at the table stands here afterwards.</Notice
      >
      <ul>
        <li v-for="r in records ?? []" :key="r.id" class="border-t border-line py-2">
          <RouterLink :to="`/record/sessions/${r.id}`" class="block hover:underline">
            <span class="text-soft">{{ dayText(r.date) }}</span>
            <span class="ml-3 font-title text-lg font-bold">{{ r.title }}</span>
            <span class="ml-3">{{ r.children.length }} children</span>
            <span v-if="!r.finished" class="ml-3 text-ochre">not closed</span>
            <span v-if="r.memo[0]" class="block text-sm text-soft">“{{ r.memo[0] }}”</span>
          </RouterLink>
        </li>
      </ul>
    </section>
    <section aria-labelledby="by-child">
      <h2 id="by-child" class="mb-2 text-xl">By child</h2>
      <ul>
        <li v-for="c in house.children" :key="c.id" class="border-t border-line py-1">
          <RouterLink class="block py-1 hover:underline" :to="`/record/children/${c.id}`">{{
            c.nickname
          }}</RouterLink>
        </li>
      </ul>
    </section>
  </main>
</template>
