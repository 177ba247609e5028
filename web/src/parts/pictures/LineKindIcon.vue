<script setup lang="ts">
/** What sort of line it is, at a glance: said, asked, every time, guessed, of home, a sound, a story, read, looked back at. */
import {
  BookOpen,
  Ear,
  Eye,
  History,
  House,
  Lightbulb,
  MessageCircle,
  MessageCircleQuestionMark,
  Repeat,
} from '@lucide/vue'
import type { Component } from 'vue'
import { LINE_KIND_WORDS, type LineKind } from '@lea/core/learn'

/** `silent`: the word stands beside it. */
withDefaults(defineProps<{ kind: LineKind; silent?: boolean }>(), { silent: false })
const ICONS: Record<LineKind, Component> = {
  comment: MessageCircle,
  question: MessageCircleQuestionMark,
  routine: Repeat,
  guess: Lightbulb,
  home: House,
  sound: Ear,
  story: BookOpen,
  read: Eye,
  'look-back': History,
}
</script>

<template>
  <span class="inline-flex items-center" :title="LINE_KIND_WORDS[kind]">
    <component :is="ICONS[kind]" class="size-5 shrink-0 text-indigo" aria-hidden="true" />
    <span v-if="!silent" class="sr-only">{{ LINE_KIND_WORDS[kind] }}</span>
  </span>
</template>
