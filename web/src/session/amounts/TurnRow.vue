<script setup lang="ts">
/** Turns for each child: a mat, and one woven patch for each turn. */
import type { Plan } from '@lea/core/plan'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import MatPattern from '../../parts/mats/MatPattern.vue'
import { useSession } from '../../stores/session/session'

defineProps<{ plan: Plan; bowl: string }>()
const session = useSession()
const { matOf } = useMats()
const childrenOf = (plan: Plan, bowl: string): Plan['totals']['perChild'] => {
  const here = plan.bowls.find((b) => b.id === bowl)?.children ?? []
  return plan.totals.perChild.filter((p) => here.includes(p.child))
}
</script>

<template>
  <p v-if="childrenOf(plan, bowl).every((p) => p.turns === 0)" class="text-soft">
    Nothing goes by turns here: everybody does every job for themselves.
  </p>
  <ul v-else class="flex flex-wrap gap-2">
    <li
      v-for="p in childrenOf(plan, bowl)"
      :key="p.child"
      class="patch flex items-center gap-2 py-1 pl-1 pr-2.5"
      :aria-label="`${session.nameOf(p.child)}: ${p.turns} turns`"
    >
      <Mat :name="session.nameOf(p.child)" :mat="matOf(p.child)" size="seat" />
      <span aria-hidden="true">
        <span class="numeral block text-2xl leading-none">{{ p.turns }}</span>
        <span class="mt-1 flex max-w-32 flex-wrap gap-0.5">
          <span
            v-for="n in p.turns"
            :key="n"
            class="size-3 overflow-hidden rounded-[2px] border border-ink/50"
            ><MatPattern :mat="matOf(p.child)"
          /></span>
        </span>
      </span>
    </li>
  </ul>
</template>
