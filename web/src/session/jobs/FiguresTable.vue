<script setup lang="ts">
/** Two plans beside each other: what a change costs and gives. */
import type { PlanFigures } from '@lea/core/plan'

defineProps<{ before: PlanFigures; after: PlanFigures; caption: string }>()
const turns = ([least, most]: [number, number]): string =>
  least === most ? `${least}` : `${least} to ${most}`
const ROWS: { name: string; of: (f: PlanFigures) => string }[] = [
  { name: 'ends', of: (f) => f.endsAt },
  { name: 'minutes', of: (f) => `${f.minutes}` },
  { name: 'turns each', of: (f) => turns(f.turns) },
  { name: 'longest wait', of: (f) => `${f.wait} min` },
  { name: 'sittings', of: (f) => `${f.sittings}` },
]
</script>

<template>
  <table class="mt-1 w-full text-sm">
    <caption class="sr-only">
      {{
        caption
      }}
    </caption>
    <thead>
      <tr class="text-left text-xs text-soft">
        <th scope="col" class="font-normal"><span class="sr-only">What</span></th>
        <th scope="col" class="font-normal">before</th>
        <th scope="col" class="font-normal">after</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="r in ROWS.filter((x) => x.name !== 'sittings' || x.of(before) !== x.of(after))"
        :key="r.name"
      >
        <th scope="row" class="pr-2 text-left font-normal">{{ r.name }}</th>
        <td class="numeral pr-2">{{ r.of(before) }}</td>
        <td class="numeral" :class="r.of(before) === r.of(after) ? '' : 'font-bold text-beet'">
          {{ r.of(after) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
