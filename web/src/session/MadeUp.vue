<script setup lang="ts">
/** What is said over a made-up group: that nothing is kept, which recipe it tries, and the way back. */
import { useSession } from '../stores/session/session'
import { useSettingStore } from '../stores/setting'

const session = useSession()
const settingStore = useSettingStore()
const choose = (event: Event): void =>
  void session.change({ recipe: (event.target as HTMLSelectElement).value })
</script>

<template>
  <div class="patch mb-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-indigo p-3">
    <p class="min-w-0 flex-1">
      <strong>A made-up group.</strong> Try the swaps and look around: nothing of it is kept, and it is not
      cooked.
    </p>
    <label class="flex items-center gap-2"
      >Recipe
      <select class="field !w-auto max-w-56" :value="session.stored?.recipe" @change="choose">
        <option v-for="r in settingStore.recipes" :key="r.id" :value="r.id">{{ r.recipe.title }}</option>
      </select></label
    >
    <RouterLink class="btn" to="/today/new">Plan a session of your own</RouterLink>
  </div>
</template>
