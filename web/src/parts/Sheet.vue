<script setup lang="ts">
/** A dialog over the page: Escape and the cross close it, focus stays inside. */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

withDefaults(defineProps<{ open: boolean; title: string; wide?: boolean }>(), { wide: false })
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-20" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel class="patch w-full p-5" :class="wide ? 'max-w-4xl' : 'max-w-xl'">
          <div class="mb-4 flex items-start justify-between gap-4">
            <DialogTitle as="h2" class="text-2xl">{{ title }}</DialogTitle>
            <button type="button" class="btn" @click="emit('close')">
              <X class="size-5" /><span class="sr-only">Close</span>
            </button>
          </div>
          <slot />
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
