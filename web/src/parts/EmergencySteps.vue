<script setup lang="ts">
/** First steps in an emergency: the number to call first and large, as it is where this setting is. */
import { computed } from 'vue'
import { emergencyNumber, emergencySteps } from '@lea/core/food'
import { lastRules } from '../shared/last-rules'
import { useSettingStore } from '../stores/setting'

withDefaults(defineProps<{ heading?: 'h2' | 'h3' }>(), { heading: 'h3' })
const setting = useSettingStore()
const rules = computed(() => setting.setting?.rules ?? lastRules())
</script>

<template>
  <div>
    <p class="mb-3 text-lg">
      Call
      <strong class="font-title" :class="rules ? 'text-3xl' : 'text-xl'">{{ emergencyNumber(rules) }}</strong>
    </p>
    <section v-for="part in emergencySteps(rules)" :key="part.title" class="mb-4">
      <component :is="heading" class="text-lg text-paprika">{{ part.title }}</component>
      <ol class="list-inside list-decimal">
        <li v-for="s in part.steps" :key="s" class="py-0.5">{{ s }}</li>
      </ol>
      <p class="text-xs text-soft">{{ part.source }}</p>
    </section>
  </div>
</template>
