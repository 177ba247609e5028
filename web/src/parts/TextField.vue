<script setup lang="ts">
/** One labelled field of a vee-validate form, with its fault under it. */
import { useField } from 'vee-validate'
import { useId } from 'vue'

const props = withDefaults(
  defineProps<{ name: string; label: string; type?: string; hint?: string; autocomplete?: string }>(),
  { type: 'text', autocomplete: 'off' },
)
const id = useId()
const { value, errorMessage, handleBlur } = useField<string>(() => props.name)
</script>

<template>
  <div>
    <label :for="id" class="mb-1 block font-semibold">{{ label }}</label>
    <input
      :id="id"
      v-model="value"
      :type="type"
      :autocomplete="autocomplete"
      class="field"
      :aria-invalid="errorMessage ? 'true' : undefined"
      :aria-describedby="errorMessage ? `${id}-fault` : hint ? `${id}-hint` : undefined"
      @blur="handleBlur"
    />
    <p v-if="hint && !errorMessage" :id="`${id}-hint`" class="mt-1 text-sm text-soft">{{ hint }}</p>
    <p v-if="errorMessage" :id="`${id}-fault`" class="mt-1 text-sm font-semibold text-paprika">
      {{ errorMessage }}
    </p>
  </div>
</template>
