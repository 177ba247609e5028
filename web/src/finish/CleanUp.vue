<script setup lang="ts">
/** Clearing up, one job for each child, tapped when it is done. */
import { computed } from 'vue'
import type { Plan } from '@lea/core/plan'
import { cleanUp } from '@lea/core/session'
import { Check } from '@lucide/vue'
import Mat from '../parts/mats/Mat.vue'
import { useMats } from '../parts/mats/useMats'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'

const props = defineProps<{ plan: Plan }>()
const settingStore = useSettingStore()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const dry = computed(() =>
  settingStore.children.filter((c) => c.needs.includes('no-wet-food')).map((c) => c.id),
)
const jobs = computed(() => cleanUp(props.plan, table.state, dry.value))
</script>

<template>
  <p class="mb-2 text-sm text-soft">
    Whoever had the fewest turns chose first. Hot and sharp things are an adult’s.
  </p>
  <ul class="grid gap-1.5">
    <li v-for="j in jobs" :key="j.job">
      <button
        type="button"
        class="btn w-full !justify-start !gap-2"
        :aria-pressed="j.done"
        :disabled="j.done"
        @click="table.add({ kind: 'cleaned', body: { job: j.job, child: j.child } })"
      >
        <Mat :name="session.nameOf(j.child)" :mat="matOf(j.child)" beside />
        <span class="text-left"
          ><strong>{{ session.nameOf(j.child) }}</strong
          >: {{ j.job }}</span
        >
        <Check v-if="j.done" class="ml-auto size-5" aria-label="done" />
      </button>
    </li>
  </ul>
</template>
