<script setup lang="ts">
/** A heading that opens what stands below it; folded until it is asked for. */
defineProps<{ title: string; open?: boolean; count?: number | undefined; says?: string | undefined }>()
</script>

<template>
  <details class="patch p-3" :open="open">
    <summary class="min-h-8 cursor-pointer">
      <span v-if="says" class="float-right text-soft">{{ says }}</span>
      <h2 class="inline text-lg">
        {{ title }}<span v-if="count !== undefined" class="numeral ml-2 text-soft">{{ count }}</span>
      </h2>
    </summary>
    <div class="mt-2"><slot /></div>
  </details>
</template>
