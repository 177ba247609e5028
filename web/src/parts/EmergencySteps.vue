<script setup lang="ts">
import { EMERGENCY } from '@lea/core'
</script>

<template>
  <div>
    <section v-for="part in EMERGENCY" :key="part.title" class="mb-4">
      <h3 class="text-lg text-paprika">{{ part.title }}</h3>
      <ol class="list-inside list-decimal">
        <li v-for="s in part.steps" :key="s" class="py-0.5">{{ s }}</li>
      </ol>
      <p class="text-xs text-soft">{{ part.source }}</p>
    </section>
  </div>
</template>
