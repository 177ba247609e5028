<script setup lang="ts" generic="T extends string">
/** A few ways to choose from, one at a time: arrow keys walk them. */
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

defineProps<{ label: string; options: { value: T; text: string }[]; modelValue: T; disabled?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [T] }>()
</script>

<template>
  <RadioGroup
    :model-value="modelValue"
    :disabled="disabled ?? false"
    class="flex flex-wrap items-center gap-x-3 gap-y-1"
    @update:model-value="(v: T) => emit('update:modelValue', v)"
  >
    <RadioGroupLabel as="span" class="font-semibold">{{ label }}</RadioGroupLabel>
    <div class="flex flex-wrap">
      <RadioGroupOption
        v-for="(o, i) in options"
        :key="o.value"
        v-slot="{ checked }"
        :value="o.value"
        as="template"
      >
        <button
          type="button"
          class="min-h-10 border-2 border-ink px-3 py-1 text-sm font-semibold"
          :class="[
            checked ? 'bg-ink text-white' : 'bg-white',
            i > 0 ? '-ml-0.5' : 'rounded-l-patch',
            i === options.length - 1 ? 'rounded-r-patch' : '',
          ]"
        >
          {{ o.text }}
        </button>
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
