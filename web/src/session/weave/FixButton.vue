<script setup lang="ts">
/** One way out, with what it costs. */
import type { Fix } from '@lea/core/plan'
import Amount from '../../parts/Amount.vue'
import { useSession } from '../../stores/session/session'

defineProps<{
  fix: Fix
  first?: boolean
  /** With how much of what, and how. */
  whole?: boolean
}>()
const session = useSession()
</script>

<template>
  <button
    type="button"
    class="rounded-patch border px-2.5 py-1.5 text-left text-sm leading-snug"
    :class="
      first ? 'border-ink bg-ink text-white hover:bg-[#24483f]' : 'border-ink bg-porcelain hover:bg-[#e6eeea]'
    "
  >
    <span class="block font-semibold">{{ session.say(fix.label) }}</span>
    <span class="block text-xs"><Amount :text="fix.cost" /></span>
    <span v-if="whole && fix.how" class="block text-xs"><Amount :text="fix.how" /></span>
  </button>
</template>
