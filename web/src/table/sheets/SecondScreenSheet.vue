<script setup lang="ts">
/** The code of a second screen, large enough to be read across the room. */
import { computed, onMounted, ref } from 'vue'
import { api, inWords } from '../../shared/api'
import Notice from '../../parts/Notice.vue'
import Sheet from '../../parts/Sheet.vue'

const props = defineProps<{ session: string; bowl: string }>()
const emit = defineEmits<{ close: [] }>()
const code = ref('')
const fault = ref('')
const ended = ref(false)
const spaced = computed(() => `${code.value.slice(0, 3)} ${code.value.slice(3)}`.trim())
const address = `${location.origin}/show`
async function make(): Promise<void> {
  fault.value = ''
  ended.value = false
  try {
    code.value = (
      await api<{ code: string }>('POST', `/sessions/${props.session}/second-screen`, { bowl: props.bowl })
    ).code
  } catch (e) {
    fault.value = inWords(e)
  }
}
async function end(): Promise<void> {
  fault.value = ''
  try {
    await api('DELETE', `/sessions/${props.session}/second-screen`)
    code.value = ''
    ended.value = true
  } catch (e) {
    fault.value = inWords(e)
  }
}
onMounted(make)
</script>

<template>
  <Sheet open title="Second screen" @close="emit('close')">
    <Notice v-if="fault" tone="fault" class="mb-3">{{ fault }}</Notice>
    <template v-if="code">
      <p>
        On the other device open <strong class="select-all">{{ address }}</strong> and type this code. It
        shows the pictures of this table, without a name, until the session ends.
      </p>
      <p class="numeral my-4 text-center text-7xl tracking-widest" aria-label="The code" data-testid="code">
        {{ spaced }}
      </p>
      <p class="mb-4 text-sm text-soft">
        A new code ends the one before. It is not kept: write it down, or make another.
      </p>
    </template>
    <p v-else-if="ended" role="status" class="mb-4">No second screen follows this table any more.</p>
    <p v-else-if="!fault" role="status" class="mb-4">Asking for a code …</p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="btn btn-table" @click="make">New code</button>
      <button type="button" class="btn btn-table" @click="end">End all second screens</button>
    </div>
  </Sheet>
</template>
