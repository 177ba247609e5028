<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { newerLea } from './offline-cache/shell'
import TopBar from './parts/TopBar.vue'
import { useAuthStore } from './stores/auth'
import { useSettingStore } from './stores/setting'
import { useUpcoming } from './stores/upcoming'

const AFTER_THE_PAGE_MS = 1500
const route = useRoute()
const auth = useAuthStore()
const settingStore = useSettingStore()
const upcoming = useUpcoming()
const bar = computed(() => auth.person !== null && !route.meta['open'] && !route.meta['table'])

watch(
  () => auth.person?.id,
  (id) => {
    if (id && !settingStore.loaded) void settingStore.load()
  },
  { immediate: true },
)
/** Under Today all that is to come is looked at; elsewhere the bar says the next one, after the page has its own; the table needs none of it. */
const lookedAt = computed(() => (route.path === '/today' ? Infinity : bar.value ? 1 : 0))
const later = useTimeoutFn(() => void upcoming.look(1), AFTER_THE_PAGE_MS, { immediate: false })
watch(
  () => [
    settingStore.loaded && lookedAt.value,
    settingStore.sessions,
    settingStore.children,
    settingStore.recipes,
    settingStore.setting,
  ],
  () => {
    later.stop()
    if (!settingStore.loaded || lookedAt.value === 0) return
    if (lookedAt.value === 1) later.start()
    else void upcoming.look(lookedAt.value)
  },
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
