<script setup lang="ts">
/** The targets that everybody should meet this week: talk is chosen so that they come up. */
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { TARGETS, targetOf } from '@lea/core/learn'
import type { HouseRules } from '@lea/core/plan'

const props = defineProps<{ rules: HouseRules; disabled: boolean }>()
const emit = defineEmits<{ save: [rules: HouseRules, done: string] }>()
const MOST = 8
const week = computed(() => props.rules.targets ?? [])
const strands = [...new Set(TARGETS.map((t) => t.strand))]
const keep = (targets: string[]): void =>
  emit('save', { ...props.rules, targets }, 'Goals of the week saved. Plans to come use them.')
function add(event: Event): void {
  const select = event.target as HTMLSelectElement
  const id = select.value
  select.value = ''
  if (id) keep([...week.value, id])
}
</script>

<template>
  <section aria-label="Goals of the week">
    <p class="mb-2 text-sm text-soft">
      What the talk should come to this week, in every recipe that has it. Ages are first windows, from
      memory.
    </p>
    <p v-if="week.length === 0" class="text-soft">None: talk goes by each child.</p>
    <ul>
      <li v-for="id in week" :key="id" class="flex items-center gap-3 border-t border-line py-1">
        <span class="flex-1"
          >{{ targetOf(id)?.says
          }}<span class="block text-xs text-soft"
            >{{ targetOf(id)?.from }} to {{ targetOf(id)?.to }} months · {{ targetOf(id)?.standards }}</span
          ></span
        >
        <button v-if="!disabled" type="button" class="btn !px-2" @click="keep(week.filter((x) => x !== id))">
          <X class="size-4" aria-hidden="true" /><span class="sr-only"
            >Take out {{ targetOf(id)?.says }}</span
          >
        </button>
      </li>
    </ul>
    <label v-if="!disabled && week.length < MOST" class="mt-2 block font-semibold"
      >Add a goal<select class="field mt-1 font-normal" @change="add">
        <option value="">choose …</option>
        <optgroup v-for="s in strands" :key="s" :label="s">
          <option
            v-for="t in TARGETS.filter((x) => x.strand === s && !week.includes(x.id))"
            :key="t.id"
            :value="t.id"
          >
            {{ t.says }} ({{ t.from }}–{{ t.to }})
          </option>
        </optgroup>
      </select></label
    >
  </section>
</template>
