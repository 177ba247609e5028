<script setup lang="ts">
/** The tokens as the children can count and compare them: one mat for each, in rows that begin at one line. */
import { TASTE_WORDS, type Taste } from '@lea/core'
import Mat from '../parts/Mat.vue'
import { useMats } from '../parts/useMats'
import { useSession } from '../stores/session'

defineProps<{ rows: { taste: Taste; who: string[] }[] }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <dl class="grid grid-cols-[6.5rem_1fr_2.5rem] items-center gap-y-3">
    <template v-for="row in rows" :key="row.taste">
      <dt class="text-sm font-semibold leading-tight">{{ TASTE_WORDS[row.taste] }}</dt>
      <dd class="flex min-h-14 flex-wrap gap-1.5 border-l-4 border-ink pl-1">
        <Mat v-for="c in row.who" :key="c" :name="session.nameOf(c)" :mat="matOf(c)" size="seat" />
      </dd>
      <dd class="numeral text-right text-3xl">{{ row.who.length }}</dd>
    </template>
  </dl>
</template>
