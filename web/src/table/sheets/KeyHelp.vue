<script setup lang="ts">
import Sheet from '../../parts/Sheet.vue'

const on = defineModel<boolean>('on', { required: true })
const emit = defineEmits<{ close: [] }>()
const KEYS = [
  ['Space', 'next turn, or next step when all turns are done'],
  ['N', 'next step'],
  ['B', 'back'],
  ['T', 'start the timer'],
  ['S', 'simpler'],
  ['H', 'harder'],
  ['M', 'note'],
  ['?', 'these keys'],
]
</script>

<template>
  <Sheet open title="Keys" @close="emit('close')">
    <dl class="grid grid-cols-[6rem_1fr] gap-y-1">
      <template v-for="[key, does] in KEYS" :key="key"
        ><dt class="font-bold">{{ key }}</dt>
        <dd>{{ does }}</dd></template
      >
    </dl>
    <p class="my-3 text-sm text-soft">They work while no button or field has the focus.</p>
    <label class="flex items-center gap-2"
      ><input v-model="on" type="checkbox" class="size-5" /> Keys are on</label
    >
  </Sheet>
</template>
