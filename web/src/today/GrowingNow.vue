<script setup lang="ts">
/** What was sown and is looked at these days. */
import { Sprout } from '@lucide/vue'
import type { GrowsNow } from '@lea/core/session'
import { dayText } from '../shared/dates'

defineProps<{ rows: GrowsNow[] }>()
</script>

<template>
  <section aria-labelledby="grows-now" class="mb-8">
    <h2 id="grows-now" class="mb-2 text-xl">Growing</h2>
    <ul class="grid gap-2">
      <li v-for="r in rows" :key="r.session">
        <RouterLink
          :to="`/record/sessions/${r.session}`"
          class="patch flex flex-wrap items-center gap-x-4 gap-y-1 p-3 hover:bg-[#eef3f0]"
        >
          <Sprout class="size-8 text-moss" aria-hidden="true" />
          <span class="min-w-0 flex-[1_1_13rem]">
            <span class="font-title text-xl font-bold">{{ r.what }}</span>
            <span class="ml-3 numeral text-lg">day {{ r.day }}</span>
            <span class="block text-soft">{{ r.today ? r.look.says : r.title }}</span>
          </span>
          <span
            class="whitespace-nowrap rounded-sm border px-2 py-0.5 text-sm"
            :class="r.today ? 'border-moss font-bold' : 'border-line'"
            >{{ r.today ? 'A look today' : `Next look ${dayText(r.look.date)}` }}</span
          >
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
