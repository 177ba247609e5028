<script setup lang="ts">
/** A small choice that is on or off. */
defineProps<{ on: boolean }>()
</script>

<template>
  <button
    type="button"
    class="rounded-patch border px-2.5 py-1"
    :class="on ? 'border-ink bg-ink text-white' : 'border-line bg-white'"
    :aria-pressed="on"
  >
    <slot />
  </button>
</template>
