<script setup lang="ts">
import { LogOut } from '@lucide/vue'
import { computed, ref } from 'vue'
import { cachedSince } from '../offline-cache/answers'
import { useAuthStore } from '../stores/auth'
import { useUpcoming } from '../stores/upcoming'
import { timeText } from '../shared/dates'

const auth = useAuthStore()
const upcoming = useUpcoming()
const refusal = ref('')
async function leave(): Promise<void> {
  refusal.value = (await auth.signOut()) ?? ''
}
const places = computed(() => [
  { to: '/today', name: 'Today' },
  { to: '/recipes', name: 'Recipes' },
  ...(auth.isLeader()
    ? [
        { to: '/children', name: 'Children' },
        { to: '/cupboard', name: 'Cupboard' },
        { to: '/record', name: 'Record' },
        { to: '/setting', name: 'Setting' },
      ]
    : []),
])
</script>

<template>
  <header class="bg-ink text-white">
    <div class="flex flex-wrap items-center gap-x-5 gap-y-1 px-5 py-1.5">
      <RouterLink to="/today" class="font-title text-2xl font-bold">Lea</RouterLink>
      <nav
        aria-label="Places"
        class="order-last -mx-2 flex w-full gap-x-1 overflow-x-auto md:order-none md:mx-0 md:w-auto md:flex-wrap"
      >
        <RouterLink
          v-for="p in places"
          :key="p.to"
          :to="p.to"
          class="shrink-0 border-b-4 border-transparent px-2 py-1 max-sm:px-1.5 max-sm:text-sm"
          active-class="!border-[#d68bb0] font-semibold [border-bottom-style:dashed]"
          >{{ p.name }}</RouterLink
        >
      </nav>
      <div class="min-w-0 flex-1 text-right text-xs leading-tight md:ml-auto md:flex-none">
        <!-- A phone has Today for it. -->
        <p class="max-sm:hidden">{{ upcoming.next }}</p>
        <p class="opacity-85">
          {{ auth.setting }} ·
          <RouterLink to="/me" class="underline">{{ auth.person?.name }}</RouterLink>
        </p>
      </div>
      <button type="button" class="rounded-patch p-1.5 hover:bg-white/15" title="Sign out" @click="leave">
        <LogOut class="size-5" aria-hidden="true" /><span class="sr-only">Sign out</span>
      </button>
    </div>
    <p v-if="refusal" role="alert" class="bg-white px-5 py-1 text-sm text-ink">{{ refusal }}</p>
    <p v-if="cachedSince" role="status" class="bg-white px-5 py-1 text-sm text-ink">
      <strong>No network.</strong> What you see is what this device kept at {{ timeText(cachedSince) }}. A
      session can be cooked and its taps are kept; other changes wait for the network.
    </p>
  </header>
</template>
