<script setup lang="ts">
/** How a recipe fits a group: the time as a bar, figures, one line of what it would need; all else on demand. */
import { computed } from 'vue'
import { fitWords, lookMinutes, timeShare } from '@lea/core/choose'
import { fillNames } from '@lea/core/plan'
import { heatWords } from '@lea/core/recipe'
import RecipeFacts from './RecipeFacts.vue'
import { useSettingStore } from '../stores/setting'
import type { ShelfEntry } from '../stores/shelf'

const props = defineProps<{ standing: ShelfEntry }>()
const settingStore = useSettingStore()
const say = (text: string): string => fillNames(text, settingStore.names, 'a guest')
const fit = computed(() => fitWords(props.standing.look, props.standing.remedy))
const time = computed(() => timeShare(props.standing.look))
</script>

<template>
  <div class="text-sm">
    <p v-if="time" class="mb-1 flex items-center gap-2">
      <span class="h-2.5 w-32 overflow-hidden rounded-full border border-ink bg-white" aria-hidden="true"
        ><span class="block h-full bg-ink" :style="{ width: `${time.percent}%` }"
      /></span>
      <span class="font-semibold">{{ time.says }}</span>
    </p>
    <p class="flex flex-wrap gap-x-4">
      <span>{{ heatWords(standing.row.recipe) }}</span>
      <span v-for="b in standing.look.brief" :key="b">{{ b }}</span>
    </p>
    <p
      class="mt-1 font-semibold"
      :class="fit.tone === 'danger' ? 'text-paprika' : fit.tone === 'fits' ? 'text-moss' : 'text-slate'"
    >
      {{ say(fit.says) }}
    </p>
    <!-- Room for two lines: what comes here moves no other card. -->
    <p v-if="standing.look.against.length > 0" class="min-h-10" :class="fit.help ? '' : 'text-soft'">
      {{ fit.help ? say(fit.help) : 'Trying what would help …' }}
    </p>
    <!-- What was found of allergens, and that packets are read, is never folded away: "fits" alone would say too much. -->
    <p v-if="standing.look.note">{{ say(standing.look.note) }}</p>
    <details>
      <summary class="inline-block min-h-6 cursor-pointer py-0.5 text-soft underline">
        More<span class="sr-only"> of {{ standing.row.recipe.title }}</span>
      </summary>
      <RecipeFacts
        :recipe="standing.row.recipe"
        :facts="standing.row.facts"
        :minutes="lookMinutes(standing.look)"
      />
      <p v-if="standing.look.reasons.length > 0" class="text-soft">
        {{ say(standing.look.reasons.join(' · ')) }}
      </p>
      <template v-if="standing.look.against.length > 1">
        <p class="mt-1">All that stands against it:</p>
        <ul class="border-l-4 border-slate pl-3">
          <li v-for="a in standing.look.against" :key="a.says">{{ say(a.says) }}</li>
        </ul>
      </template>
    </details>
  </div>
</template>
