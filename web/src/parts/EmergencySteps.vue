<script setup lang="ts">
import { EMERGENCY } from '@lea/core/food'

withDefaults(defineProps<{ heading?: 'h2' | 'h3' }>(), { heading: 'h3' })
</script>

<template>
  <div>
    <section v-for="part in EMERGENCY" :key="part.title" class="mb-4">
      <component :is="heading" class="text-lg text-paprika">{{ part.title }}</component>
      <ol class="list-inside list-decimal">
        <li v-for="s in part.steps" :key="s" class="py-0.5">{{ s }}</li>
      </ol>
      <p class="text-xs text-soft">{{ part.source }}</p>
    </section>
  </div>
</template>
