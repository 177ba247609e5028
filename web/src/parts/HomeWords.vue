<script setup lang="ts">
/** A word in the languages spoken at home, each in its own direction; what wants a speaker says so. */
import { type StepWord, languageName } from '@lea/core/learn'

withDefaults(defineProps<{ home: StepWord['home']; names?: boolean }>(), { names: true })
</script>

<template>
  <span v-for="h in home" :key="h.language" class="mr-3 inline-block text-sm">
    <span v-if="names" class="text-soft">{{ languageName(h.language) ?? h.language }} </span>
    <bdi :lang="h.language" :dir="h.rightToLeft ? 'rtl' : 'ltr'">{{ h.word }}</bdi><span
      v-if="h.roman"
      class="text-soft"
    >
      ({{ h.roman }})</span
    ><em v-if="h.askSpeaker && names" class="text-soft"> ask a speaker</em>
  </span>
</template>
