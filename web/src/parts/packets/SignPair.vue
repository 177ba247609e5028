<script setup lang="ts">
/** Two adults sign that they read it; an adult alone reads it twice and signs twice. */
defineProps<{ adults: { id: string; name: string }[] }>()
const first = defineModel<string>('first', { required: true })
const second = defineModel<string>('second', { required: true })
</script>

<template>
  <div class="grid gap-3 sm:grid-cols-2">
    <label class="font-semibold"
      >Read aloud by
      <select v-model="first" class="field mt-1 font-normal">
        <option value="" disabled>choose</option>
        <option v-for="a in adults" :key="a.id" :value="a.id">{{ a.name }}</option>
      </select></label
    >
    <label class="font-semibold"
      >Read along by
      <select v-model="second" class="field mt-1 font-normal">
        <option value="" disabled>choose</option>
        <option v-for="a in adults" :key="a.id" :value="a.id">
          {{ a.id === first ? `${a.name}, a second time` : a.name }}
        </option>
      </select></label
    >
  </div>
</template>
