<script setup lang="ts">
/** Which foods a child met, and how: tap a food, then the mats. No rank: each way is a way of meeting it. */
import { computed, ref } from 'vue'
import type { Plan } from '@lea/core/plan'
import { MET, MET_WORDS, foodsMet, nextMet } from '@lea/core/session'
import Mat from '../parts/mats/Mat.vue'
import Picks from '../parts/Picks.vue'
import { useMats } from '../parts/mats/useMats'
import { useSession } from '../stores/session/session'
import { useTable } from '../stores/table/table'

const props = defineProps<{ plan: Plan }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const options = computed(() =>
  foodsMet(props.plan, table.state).map((f) => ({
    id: f.food,
    word: f.noted > 0 ? `${f.name} · ${f.noted}` : f.name,
  })),
)
const food = ref('')
const how = (child: string) => table.state.met[child]?.[food.value]
const next = (child: string): Promise<string> =>
  table.add({ kind: 'met', body: { child, food: food.value, how: nextMet(how(child)) } })
</script>

<template>
  <Picks label="Food" :options="options" :picked="[food]" @pick="(id) => (food = food === id ? '' : id)" />
  <template v-if="food">
    <p class="mt-2 text-sm text-soft">
      Tap a mat again for the next way: {{ MET.map((m) => MET_WORDS[m]).join(', ') }}.
    </p>
    <ul class="mt-2 flex flex-wrap gap-2">
      <li v-for="c in plan.children" :key="c.id">
        <button type="button" class="btn btn-table !gap-2 !px-2" @click="next(c.id)">
          <Mat :name="session.nameOf(c.id)" :mat="matOf(c.id)" beside />
          <span class="text-left text-sm leading-tight"
            >{{ session.nameOf(c.id)
            }}<span class="block font-normal">{{
              how(c.id) ? MET_WORDS[how(c.id)!] : 'not noted'
            }}</span></span
          >
        </button>
      </li>
    </ul>
  </template>
</template>
