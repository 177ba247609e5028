<script setup lang="ts">
/** Places of cards while the shelf is looked through: what comes stands where they stood. */
defineProps<{ wide?: boolean }>()
</script>

<template>
  <ul class="grid gap-3" :class="wide ? '' : 'lg:grid-cols-2'" aria-hidden="true">
    <li v-for="n in 4" :key="n" class="patch flex h-44 items-start gap-3 border-edge p-4">
      <span class="block aspect-[4/3] w-28 shrink-0 rounded-patch bg-ink/5" />
      <span class="grid flex-1 gap-2">
        <span class="block h-6 w-2/3 rounded-patch bg-ink/10" />
        <span class="block h-4 w-5/6 rounded-patch bg-ink/5" />
        <span class="block h-4 w-1/2 rounded-patch bg-ink/5" />
      </span>
    </li>
  </ul>
</template>
