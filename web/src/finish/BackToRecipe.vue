<script setup lang="ts">
/** Swaps that were cooked with, offered back to the recipe: into it, or as one of its own. Nothing happens by itself. */
import { computed, ref } from 'vue'
import { foodName } from '@lea/core/food'
import type { Plan } from '@lea/core/plan'
import { differences } from '@lea/core/recipe'
import { keptInRecipe, withWords } from '@lea/core/setting'
import { inWords } from '../shared/api'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useFoods } from '../parts/useFoods'
import { useSession } from '../stores/session/session'

defineProps<{ plan: Plan }>()
const auth = useAuthStore()
const settingStore = useSettingStore()
const foods = useFoods()
const session = useSession()
const said = ref('')
const before = computed(() => settingStore.recipe(session.stored?.recipe ?? ''))
const kept = computed(() =>
  before.value ? keptInRecipe(before.value, session.stored?.decisions ?? []) : null,
)
const changes = computed(() =>
  before.value && kept.value ? differences(before.value, kept.value, foods.value) : [],
)
async function keep(own: boolean): Promise<void> {
  const [was, now] = [before.value, kept.value]
  if (!was || !now) return
  const name = withWords(was, now, (f) => foodName(foods.value.of(f)))
  try {
    if (own)
      await settingStore.saveRecipe({
        ...now,
        title: `${was.title}${name ? ` with ${name}` : ', our way'}`.slice(0, 80),
      })
    else await settingStore.saveRecipe(now, session.stored?.recipe)
    said.value = own ? 'Saved as a recipe of its own.' : 'The recipe is changed.'
  } catch (fault) {
    said.value = inWords(fault)
  }
}
</script>

<template>
  <section v-if="auth.isLeader() && kept" class="patch p-4" aria-labelledby="back-to-recipe">
    <h2 id="back-to-recipe" class="mb-1 text-xl">Keep the swap in the recipe?</h2>
    <ul class="mb-2 list-disc pl-5 text-sm">
      <li v-for="c in changes" :key="c">{{ c }}</li>
    </ul>
    <p v-if="said" role="status">{{ said }}</p>
    <div v-else class="flex flex-wrap gap-2">
      <button type="button" class="btn" @click="keep(false)">Change this recipe</button>
      <button type="button" class="btn" @click="keep(true)">Save as a new recipe</button>
    </div>
  </section>
</template>
