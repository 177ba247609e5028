<script setup lang="ts">
/** What to buy, in packs: ticked off when it is got; what is left over, and how long it keeps. */
import { moneyText } from '@lea/core/amount'
import { computed } from 'vue'
import { leftUses, type Plan, type ShoppingRow } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import { useSession } from '../../stores/session/session'
import { useSettingStore } from '../../stores/setting'

const props = defineProps<{ plan: Plan; disabled: boolean }>()
const session = useSession()
const settingStore = useSettingStore()
/** What else could be made of what is left. */
const uses = computed(() => leftUses(props.plan.shopping, settingStore.recipes, session.stored?.recipe ?? ''))
const money = (minor: string | number): string => moneyText(minor, props.plan.cost.currency)

async function tick(row: ShoppingRow): Promise<void> {
  const decision = { kind: 'got', food: row.food, buy: row.buy?.text ?? '' } as const
  await (row.got ? session.takeBack(decision) : session.choose(decision))
}
</script>

<template>
  <table class="w-full border-collapse text-sm" aria-label="Shopping">
    <thead>
      <tr class="border-b-2 border-ink text-left">
        <th scope="col" class="w-9 p-1"><span class="sr-only">Got</span></th>
        <th scope="col" class="p-1">Food</th>
        <th scope="col" class="p-1">Needed</th>
        <th scope="col" class="p-1">Have</th>
        <th scope="col" class="p-1">Buy</th>
        <th scope="col" class="p-1 text-right">Price</th>
        <th scope="col" class="p-1">Left over</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in plan.shopping" :key="row.food" class="border-b border-line align-top">
        <td class="p-1">
          <input
            v-if="!row.enough"
            type="checkbox"
            class="size-6"
            :checked="row.got"
            :disabled="disabled"
            :aria-label="`${row.name}: got it`"
            @change="tick(row)"
          />
        </td>
        <th scope="row" class="p-1 text-left text-base" :class="row.got ? 'line-through' : ''">
          {{ row.name }}
        </th>
        <td class="p-1">
          <Amount :text="row.text" />
          <span
            v-if="row.need && row.need.text !== row.text"
            class="block text-xs text-soft"
            :title="row.need.source"
            >as bought {{ row.need.text }}</span
          >
        </td>
        <td class="p-1">{{ row.have }}</td>
        <td class="p-1 font-semibold">
          <template v-if="row.buy"><Amount :text="row.buy.text" /></template>
          <template v-else-if="row.enough"
            ><span class="font-normal text-soft">{{ row.why || 'enough' }}</span></template
          >
          <span v-else class="font-normal">{{ row.why }}</span>
        </td>
        <td class="numeral p-1 text-right">
          <template v-if="row.buy">{{ row.buy.cost === null ? 'no price' : money(row.buy.cost) }}</template>
        </td>
        <td class="p-1">
          <template v-if="row.left"
            >{{ row.left.text }}
            <span class="block text-xs" :class="row.left.soon ? 'font-semibold' : 'text-soft'"
              >{{ row.left.keeps }}<template v-if="row.left.soon">: plan a second recipe</template></span
            ><span v-if="uses.has(row.food)" class="no-print block text-xs"
              >for
              <template v-for="(u, i) in uses.get(row.food)" :key="u.id"
                ><template v-if="i > 0"> or </template
                ><RouterLink class="underline" :to="`/recipes/${u.id}`">{{ u.title }}</RouterLink></template
              ></span
            ></template
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>
