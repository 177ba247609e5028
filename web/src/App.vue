<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { newerLea } from './offline-cache/shell'
import TopBar from './parts/TopBar.vue'
import { useDoor } from './stores/auth'
import { useHouse } from './stores/setting'
import { useUpcoming } from './stores/upcoming'

const route = useRoute()
const door = useDoor()
const house = useHouse()
const upcoming = useUpcoming()
const bar = computed(() => door.person !== null && !route.meta['open'] && !route.meta['table'])

watch(
  () => door.person?.id,
  (id) => {
    if (id && !house.loaded) void house.load()
  },
  { immediate: true },
)
watch(
  () => [house.sessions, house.children, house.recipes, house.setting],
  () => void upcoming.look(),
)
</script>

<template>
  <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-white focus:p-2"
    >To the content</a
  >
  <TopBar v-if="bar" />
  <p v-if="bar && newerLea" role="status" class="bg-white px-5 py-1 text-sm">
    A newer Lea is here.
    <button type="button" class="underline" @click="newerLea()">Take it now</button>; otherwise it comes when
    Lea is closed.
  </p>
  <RouterView />
</template>
