<script setup lang="ts">
/** Each line from recipe to group, as a scoop strip in proportion. */
import { computed } from 'vue'
import { countText } from '@lea/core/amount'
import { type Plan, amountRows } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import ScoopStrip from '../../parts/mats/ScoopStrip.vue'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import MeasurePicture from '../../parts/pictures/MeasurePicture.vue'
import OtherFood from './OtherFood.vue'
import OtherWays from './OtherWays.vue'

const props = defineProps<{ plan: Plan; bowl: string; disabled: boolean }>()
const session = useSession()
const { matOf } = useMats()
const rows = computed(() => amountRows(props.plan, props.bowl))
const name = computed(() => props.plan.bowls.find((b) => b.id === props.bowl))
</script>

<template>
  <table class="patch w-full border-collapse max-md:block" aria-label="Lines">
    <thead class="max-md:sr-only">
      <tr class="text-left text-sm">
        <th scope="col" class="w-[20%] p-2">Ingredient</th>
        <th scope="col" class="w-[13%] p-2">Recipe, for {{ plan.recipe.serves }}</th>
        <th scope="col" class="w-[19%] p-2">{{ name?.name }}, for {{ name?.children.length }}</th>
        <th scope="col" class="p-2">Measured</th>
      </tr>
    </thead>
    <tbody class="max-md:block">
      <tr v-for="row in rows" :key="row.key" class="border-t border-line align-top max-md:block max-md:py-2">
        <th scope="row" class="p-2 text-left leading-tight max-md:block max-md:py-0.5">
          {{ row.line.name
          }}<span v-if="row.line.swappedFrom" class="block text-xs font-normal text-soft"
            >instead of {{ row.line.swappedFrom }}</span
          ><span v-if="row.share" class="block text-xs font-normal text-soft">for: {{ row.share }}</span>
        </th>
        <td class="p-2 max-md:hidden"><Amount :text="row.line.recipeText" /></td>
        <td class="p-2 leading-tight max-md:block max-md:py-0.5">
          <strong class="text-lg"><Amount :text="row.line.text" /></strong>
          <span v-if="row.line.each" class="block text-sm"
            ><Amount :text="row.line.each.text" /> for each child<template
              v-for="(s, k) in row.line.each.sizes ?? []"
              :key="k"
              >, <Amount :text="s.text" /> for {{ countText(s.children.length, 'small one') }}</template
            ></span
          >
          <span v-if="row.takers" class="block text-sm">{{ row.takers }}</span>
          <span v-if="row.line.also" class="block text-xs text-soft" :title="row.line.also.source">
            about <Amount :text="row.line.also.text" /><span class="sr-only"
              >, source: {{ row.line.also.source }}</span
            >
          </span>
        </td>
        <td class="p-2 max-md:block">
          <div class="flex items-start gap-3 max-md:flex-wrap">
            <div v-if="row.scooped" class="flex shrink-0 gap-1">
              <MeasurePicture
                v-for="p in row.parts.slice(0, 3)"
                :key="p.measure"
                class="h-8 w-13"
                :size="p.size"
                :unit="p.unit"
                :name="p.name"
              />
            </div>
            <div class="min-w-0 flex-1 max-md:min-w-full">
              <p v-if="row.how" class="text-sm leading-tight">
                <Amount :text="row.how" /><span v-if="row.pinned" class="font-semibold text-teal">
                  · pinned</span
                >
              </p>
              <p v-else class="text-sm text-soft">goes in whole or by hand</p>
              <ScoopStrip
                v-if="row.strip.length > 0"
                class="mt-1"
                :children="row.strip"
                :mats="matOf"
                :names="session.nameOf"
                :marks="row.marks"
                :shares="row.shares"
              />
              <p v-if="row.off" class="mt-0.5 text-xs font-semibold">{{ row.off }}</p>
              <p v-if="row.because" class="mt-0.5 text-xs text-soft"><Amount :text="row.because" /></p>
            </div>
            <div class="flex shrink-0 gap-1">
              <OtherWays v-if="row.scooped" :row="row" :disabled="disabled" />
              <OtherFood v-if="!disabled" :line="row.line" />
            </div>
          </div>
        </td>
      </tr>
    </tbody>
  </table>
</template>
