<script setup lang="ts">
/** A few figures side by side, large, each with its words below. */
defineProps<{ figures: readonly { figure: string; says: string }[]; label: string }>()
</script>

<template>
  <dl class="flex flex-wrap gap-x-8 gap-y-2" :aria-label="label">
    <div v-for="f in figures" :key="f.says" class="flex flex-col-reverse">
      <dt class="text-sm text-soft">{{ f.says }}</dt>
      <dd class="numeral text-2xl leading-tight">{{ f.figure }}</dd>
    </div>
  </dl>
</template>
