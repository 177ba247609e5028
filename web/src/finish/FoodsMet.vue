<script setup lang="ts">
/** Which foods a child met, and how: tap a food, then the mats. No rank: each way is a way of meeting it. */
import { computed, ref } from 'vue'
import { foodsMet, MET, MET_WORDS, nextMet, type Plan } from '@lea/core'
import Mat from '../parts/Mat.vue'
import { useMats } from '../parts/useMats'
import { useSession } from '../stores/session'
import { useTable } from '../stores/table'

const props = defineProps<{ plan: Plan }>()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const foods = computed(() => foodsMet(props.plan))
const food = ref('')
const how = (child: string) => table.state.met[child]?.[food.value]
const next = (child: string): Promise<string> =>
  table.add({ kind: 'met', body: { child, food: food.value, how: nextMet(how(child)) } })
const noted = (id: string): number => Object.values(table.state.met).filter((m) => m[id]).length
</script>

<template>
  <div class="flex flex-wrap gap-2" role="group" aria-label="Food">
    <button
      v-for="f in foods"
      :key="f.food"
      type="button"
      class="btn"
      :class="food === f.food ? '!bg-ink !text-white' : ''"
      :aria-pressed="food === f.food"
      @click="food = food === f.food ? '' : f.food"
    >
      {{ f.name }}<template v-if="noted(f.food) > 0"> · {{ noted(f.food) }}</template>
    </button>
  </div>
  <template v-if="food">
    <p class="mt-2 text-sm text-soft">
      Tap a mat again for the next way: {{ MET.map((m) => MET_WORDS[m]).join(', ') }}.
    </p>
    <ul class="mt-2 flex flex-wrap gap-2">
      <li v-for="c in plan.children" :key="c.id">
        <button type="button" class="btn btn-table !gap-2 !px-2" @click="next(c.id)">
          <Mat :name="session.nameOf(c.id)" :mat="matOf(c.id)" />
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
