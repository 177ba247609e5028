<script setup lang="ts">
/** What has not come round, with the recipes that would bring it; and what was longest ago. */
import { countText } from '@lea/core/amount'
import type { NextRound, Overview } from '@lea/core/session'
import { dayText } from '../shared/dates'

defineProps<{ next: NextRound; view: Overview }>()
/** So many stand open; the others unfold. */
const SHOWN = 3
const RECIPES = 3
</script>

<template>
  <section aria-label="Not done yet">
    <p class="text-sm text-soft">Jobs that nobody has done, though somebody is old enough.</p>
    <h3 class="mt-2">Techniques</h3>
    <p v-if="next.techniques.length === 0" class="text-sm">
      Nothing is left that your recipes bring for the ages on the list.
    </p>
    <component
      :is="part === 0 ? 'div' : 'details'"
      v-for="(list, part) in [next.techniques.slice(0, SHOWN), next.techniques.slice(SHOWN)]"
      v-show="list.length > 0"
      :key="part"
    >
      <summary v-if="part === 1" class="cursor-pointer py-1 text-sm">{{ list.length }} more</summary>
      <ul class="text-sm">
        <li v-for="t in list" :key="t.id" class="border-t border-line py-1">
          <strong>{{ t.name }}</strong><template v-if="t.ofWeek">, of this week</template>:
          <template v-for="(r, i) in t.recipes.slice(0, RECIPES)" :key="r.id"
            ><template v-if="i > 0">, </template
            ><RouterLink class="underline" :to="`/recipes/${r.id}`">{{ r.title }}</RouterLink></template
          ><template v-if="t.recipes.length > RECIPES"> and {{ t.recipes.length - RECIPES }} more</template>
        </li>
      </ul>
    </component>
    <details v-if="next.without.length > 0">
      <summary class="cursor-pointer py-1 text-sm">
        {{ next.without.length }} that none of your recipes has
      </summary>
      <p class="text-sm">{{ next.without.map((t) => t.name).join(', ') }}</p>
    </details>
    <h3 class="mt-2">Goals</h3>
    <ul class="text-sm">
      <li v-for="t in next.targets.filter((t) => t.ofWeek)" :key="t.id">
        <strong>{{ t.says }}</strong>, of this week
      </li>
    </ul>
    <details>
      <summary class="cursor-pointer py-1 text-sm">
        {{ next.targets.length }} not noted that suit these ages
      </summary>
      <p class="text-sm">{{ next.targets.map((t) => t.says).join('; ') }}</p>
    </details>
    <h3 class="mt-2">Longest ago</h3>
    <ul class="text-sm">
      <li v-for="t in view.techniques.slice(0, 5)" :key="t.id">
        {{ t.name }}: {{ dayText(t.last) }}, {{ countText(t.times, 'session') }}
      </li>
    </ul>
  </section>
</template>
