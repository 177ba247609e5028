<script setup lang="ts">
/** How a recipe fits a group: one line, what would help, and all reasons on demand. */
import { computed } from 'vue'
import { fitWords } from '@lea/core/choose'
import { fillNames } from '@lea/core/plan'
import { useSettingStore } from '../stores/setting'
import type { ShelfEntry } from '../stores/shelf'

const props = defineProps<{ standing: ShelfEntry }>()
const settingStore = useSettingStore()
const say = (text: string): string => fillNames(text, settingStore.names, 'a guest')
const fit = computed(() => fitWords(props.standing.look, props.standing.remedy))
</script>

<template>
  <div class="text-sm">
    <p
      class="font-semibold"
      :class="fit.tone === 'danger' ? 'text-paprika' : fit.tone === 'fits' ? 'text-moss' : 'text-slate'"
    >
      {{ say(fit.says) }}
    </p>
    <p v-if="fit.help">{{ say(fit.help) }}</p>
    <p v-else-if="standing.look.against.length > 0 && standing.remedy === undefined" class="text-soft">
      Trying what would help …
    </p>
    <p v-if="standing.look.reasons.length > 0" class="text-soft">
      {{ say(standing.look.reasons.join(' · ')) }}
    </p>
    <details v-if="standing.look.against.length > 1" class="mt-1">
      <summary class="cursor-pointer">All that stands against it</summary>
      <ul class="border-l-4 border-slate pl-3">
        <li v-for="a in standing.look.against" :key="a.says">{{ say(a.says) }}</li>
      </ul>
    </details>
  </div>
</template>
