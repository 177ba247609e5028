<script setup lang="ts">
/** Guests of a session that is over are erased one by one: who came once is kept no longer than is wished. */
import { ref } from 'vue'
import { api, inWords } from '../shared/api'
import NameInWords from '../parts/privacy/NameInWords.vue'

const props = defineProps<{ id: string; guests: ReadonlyMap<string, string> }>()
const emit = defineEmits<{ erased: [] }>()
const asked = ref('')
const gone = ref('')
const fault = ref('')
const busy = ref(false)
async function erase(guest: string, nickname: string): Promise<void> {
  busy.value = true
  fault.value = ''
  try {
    await api('DELETE', `/keeping/guests/${props.id}/${guest}`)
    gone.value = nickname
    emit('erased')
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section v-if="guests.size > 0 || gone" class="patch p-4" aria-labelledby="guests">
    <h2 id="guests" class="mb-1 text-lg">Guests</h2>
    <ul>
      <li v-for="[guest, nickname] in guests" :key="guest" class="flex flex-wrap items-center gap-2 py-1">
        <span class="flex-1">{{ nickname }}</span>
        <button
          v-if="asked !== guest"
          type="button"
          class="btn"
          :aria-label="`Erase ${nickname}`"
          @click="asked = guest"
        >
          Erase
        </button>
        <span v-else role="alert" class="w-full">
          Erase {{ nickname }} for good? The turns stay, as somebody’s.
          <button
            type="button"
            class="btn ml-2 !border-paprika !text-paprika"
            :disabled="busy"
            @click="erase(guest, nickname)"
          >
            Erase for good
          </button>
        </span>
      </li>
    </ul>
    <p v-if="fault" role="alert" class="font-semibold text-paprika">{{ fault }}</p>
    <template v-if="gone">
      <p role="status">{{ gone }} is erased.</p>
      <NameInWords :key="gone" :name="gone" />
    </template>
  </section>
</template>
