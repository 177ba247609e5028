<script setup lang="ts">
/** Shopping, kit, and what to do ahead. */
import Amount from '../parts/Amount.vue'
import { useSession } from '../stores/session'

const session = useSession()
const print = (): void => window.print()
</script>

<template>
  <section v-if="session.plan" aria-label="Ready" class="grid content-start gap-4 md:grid-cols-3">
    <div class="patch p-4">
      <h2 class="mb-1 text-xl">To have in</h2>
      <ul>
        <li
          v-for="s in session.plan.shopping"
          :key="s.food + s.unit"
          class="flex justify-between gap-3 border-t border-line py-1"
        >
          <span>{{ s.name }}</span><strong class="whitespace-nowrap"><Amount :text="s.text" /></strong>
        </li>
      </ul>
    </div>
    <div class="patch p-4">
      <h2 class="mb-1 text-xl">Kit</h2>
      <h3 class="text-sm text-soft">Measures</h3>
      <ul>
        <li v-for="m in session.plan.kit.measures" :key="m"><Amount :text="m" /></li>
      </ul>
      <h3 class="mt-2 text-sm text-soft">Each job in the form these children can do</h3>
      <ul>
        <li v-for="t in session.plan.kit.tools" :key="t">{{ t }}</li>
      </ul>
      <h3 class="mt-2 text-sm text-soft">From the recipe</h3>
      <ul>
        <li v-for="e in session.plan.kit.equipment" :key="e">{{ e }}</li>
      </ul>
    </div>
    <div class="patch p-4">
      <h2 class="mb-1 text-xl">Ahead</h2>
      <ul>
        <li v-for="a in session.plan.ahead" :key="a.says" class="border-t border-line py-1">
          <strong>{{ a.when }}</strong> {{ a.says }}
        </li>
      </ul>
      <button type="button" class="btn no-print mt-3" @click="print">Print this sheet</button>
      <p class="no-print mt-3 text-sm">
        <a class="underline" :href="`/api/sessions/${session.plan.session}/request`" download
          >Save the request of this plan</a
        >
        (JSON, without names, for <code>./lea calc plan</code>)
      </p>
    </div>
  </section>
</template>
