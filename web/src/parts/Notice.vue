<script setup lang="ts">
/** A state in words: what is the matter, and what to do next. */
withDefaults(defineProps<{ tone?: 'plain' | 'fault' }>(), { tone: 'plain' })
</script>

<template>
  <div
    class="patch p-4"
    :class="tone === 'fault' ? 'border-2 border-paprika' : ''"
    :role="tone === 'fault' ? 'alert' : 'status'"
  >
    <slot />
  </div>
</template>
