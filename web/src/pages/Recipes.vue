<script setup lang="ts">
import { onMounted } from 'vue'
import Notice from '../parts/Notice.vue'
import Picture from '../parts/Picture.vue'
import { useDoor } from '../stores/door'
import { useHouse } from '../stores/house'

const house = useHouse()
const door = useDoor()
onMounted(() => void house.load())
</script>

<template>
  <main id="main" class="mx-auto max-w-5xl px-5 py-4">
    <div class="mb-4 flex items-center justify-between gap-4">
      <h1 class="text-3xl">Recipes</h1>
      <RouterLink v-if="door.isLeader()" class="btn btn-main" to="/recipes/new">New recipe</RouterLink>
    </div>
    <Notice v-if="house.fault" tone="fault">{{ house.fault }}</Notice>
    <p v-else-if="!house.loaded" role="status">Opening the recipes …</p>
    <Notice v-else-if="house.recipes.length === 0"
      >No recipe yet. Write your first one: lines with amounts, then steps.</Notice
    >
    <ul class="grid gap-3 sm:grid-cols-2">
      <li v-for="r in house.recipes" :key="r.id">
        <RouterLink
          :to="`/recipes/${r.id}`"
          class="patch flex h-full items-start gap-3 p-4 hover:bg-[#eef3f0]"
        >
          <Picture :name="r.recipe.steps[1]?.picture ?? 'bowl'" class="size-12 shrink-0" />
          <span
            ><span class="font-title text-xl font-bold">{{ r.recipe.title }}</span
            ><span class="block">{{ r.recipe.about }}</span
            ><span class="block text-sm text-soft"
              >serves {{ r.recipe.serves }} · {{ r.recipe.lines.length }} lines,
              {{ r.recipe.steps.length }} steps · {{ r.recipe.themes.join(', ') }}</span
            ></span
          >
        </RouterLink>
      </li>
    </ul>
  </main>
</template>
