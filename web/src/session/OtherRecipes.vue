<script setup lang="ts">
/** Recipes of the setting that fit these children: compiled one after another in the worker, with nothing listed against them. */
import { countText } from '@lea/core/amount'
import { onMounted, ref } from 'vue'
import { openStops } from '@lea/core/plan'
import { assemble } from '@lea/core/setting'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useSession } from '../stores/session/session'
import { compileInWorker } from '../workers/planner'

const session = useSession()
const settingStore = useSettingStore()
const auth = useAuthStore()
const found = ref<{ id: string; title: string; says: string }[]>([])
const looking = ref(true)

onMounted(async () => {
  const stored = session.stored
  if (!stored || !settingStore.setting) return
  for (const { id, recipe } of settingStore.recipes.filter((r) => r.id !== stored.recipe)) {
    const request = assemble(
      { ...stored, recipe: id, decisions: [] },
      { setting: settingStore.setting, recipe, children: settingStore.children, adults: settingStore.adults },
    )
    const answer = await compileInWorker(request)
    if (!('plan' in answer) || (answer.plan.swapSet?.stuck.length ?? 0) > 0) continue
    const changes = answer.plan.swapSet?.decisions.length ?? 0
    const stops = openStops(answer.plan).length
    const says =
      stops === 0
        ? 'no stop'
        : changes > 0
          ? `${countText(changes, 'swap clears', 'swaps clear')} what it lists`
          : `${stops} to settle, none that needs a swap`
    found.value = [...found.value, { id, title: recipe.title, says }]
  }
  looking.value = false
})
</script>

<template>
  <section aria-labelledby="other" class="patch p-4">
    <h2 id="other" class="text-xl">Make something else</h2>
    <p v-if="looking" role="status" class="text-sm text-soft">Trying your recipes with these children …</p>
    <p v-else-if="found.length === 0">None of your recipes fits all of these children. An own bowl may.</p>
    <ul>
      <li
        v-for="r in found"
        :key="r.id"
        class="flex flex-wrap items-center gap-3 border-t border-line py-1.5"
      >
        <span class="font-semibold">{{ r.title }}</span><span class="text-sm text-soft">{{ r.says }}</span>
        <button
          v-if="auth.isLeader() && !session.frozen"
          type="button"
          class="btn ml-auto"
          @click="session.change({ recipe: r.id })"
        >
          Make this instead
        </button>
      </li>
    </ul>
  </section>
</template>
