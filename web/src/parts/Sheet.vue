<script setup lang="ts">
/** A dialog over the page: Escape and the cross close it; focus goes to its first field, stays inside, and back to where it came from. */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { nextTick, onBeforeMount, onBeforeUnmount, onMounted, ref } from 'vue'

withDefaults(defineProps<{ open: boolean; title: string; wide?: boolean }>(), { wide: false })
const emit = defineEmits<{ close: [] }>()
const head = ref<HTMLElement | null>(null)
const body = ref<HTMLElement | null>(null)
/** What had the focus before: it gets it back, where it is still there. */
let before: Element | null = null
onBeforeMount(() => {
  before = document.activeElement
})
onBeforeUnmount(() => {
  const back = before
  void nextTick(() =>
    requestAnimationFrame(() => {
      const lost = document.activeElement === null || document.activeElement === document.body
      if (lost && back instanceof HTMLElement && back.isConnected) back.focus()
    }),
  )
})
/** After the dialog has put it on its first button. */
onMounted(() =>
  requestAnimationFrame(() => {
    const field = body.value?.querySelector<HTMLElement>('input:not([type=file]), select, textarea')
    ;(field ?? head.value)?.focus()
  }),
)
</script>

<template>
  <Dialog :open="open" class="relative z-20" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/40" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel class="patch w-full p-5" :class="wide ? 'max-w-4xl' : 'max-w-xl'">
          <div class="mb-4 flex items-start justify-between gap-4">
            <DialogTitle as="h2" class="text-2xl"
              ><span ref="head" tabindex="-1">{{ title }}</span></DialogTitle
            >
            <button type="button" class="btn" @click="emit('close')">
              <X class="size-5" /><span class="sr-only">Close</span>
            </button>
          </div>
          <div ref="body"><slot /></div>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
