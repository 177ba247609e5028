<script setup lang="ts">
/** Who waits just now, and what they could do: offered, not pressed. */
import type { Meanwhile } from '@lea/core/session'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'

defineProps<{ waiting: readonly Meanwhile[] }>()
const session = useSession()
const { matOf } = useMats()
</script>

<template>
  <section v-if="waiting.length > 0" class="mt-2 border-t border-line pt-2" aria-labelledby="meanwhile">
    <h2 id="meanwhile" class="text-base font-semibold">Meanwhile</h2>
    <ul class="mt-1 grid gap-1">
      <li v-for="w in waiting" :key="w.says + (w.adult ?? '')" class="flex flex-wrap items-center gap-x-2">
        <span class="flex gap-0.5"
          ><Mat v-for="c in w.children" :key="c" :name="session.nameOf(c)" :mat="matOf(c)"
        /></span>
        <span class="min-w-0 flex-1 leading-tight"
          >{{ w.says }}<span v-if="w.adult" class="text-soft">, {{ session.nameOf(w.adult) }} beside</span
          ><span v-if="w.or.length > 0" class="block text-sm text-soft">or {{ w.or.join(', ') }}</span></span
        >
      </li>
    </ul>
  </section>
</template>
