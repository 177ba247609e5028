<script setup lang="ts">
/** Things to pick from by a tap, at arm's length. */
defineProps<{ label: string; options: { id: string; word: string }[]; picked: readonly string[] }>()
const emit = defineEmits<{ pick: [id: string] }>()
</script>

<template>
  <div class="flex flex-wrap gap-2" role="group" :aria-label="label">
    <button
      v-for="o in options"
      :key="o.id"
      type="button"
      class="btn btn-table"
      :class="picked.includes(o.id) ? '!bg-ink !text-white' : ''"
      :aria-pressed="picked.includes(o.id)"
      @click="emit('pick', o.id)"
    >
      {{ o.word }}
    </button>
  </div>
</template>
