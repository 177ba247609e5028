<script setup lang="ts">
import { languageName } from '@lea/core/learn'
import type { WeaveColumn } from '@lea/core/plan'

defineProps<{ column: WeaveColumn; wide: boolean }>()
</script>

<template>
  <p v-for="w in column.talk?.words ?? []" :key="w.id">
    <strong>{{ w.word }}</strong>
    <template v-if="wide">
      <span v-for="h in w.home" :key="h.language" class="text-xs text-soft">
        ·
        <bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'" :title="languageName(h.language)">{{
          h.word
        }}</bdi><template v-if="h.askSpeaker"> (ask a speaker)</template></span
      >
    </template>
  </p>
  <p v-if="wide && column.says" class="mt-1">{{ column.says }}</p>
</template>
