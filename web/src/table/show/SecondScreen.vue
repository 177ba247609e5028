<script setup lang="ts">
/** A second device for the children: a code opens the pictures of this table there, and nothing else. */
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import type { ShowFrame } from '@lea/core/session'
import { ApiFault, api, inWords } from '../../shared/api'
import { useFeed } from '../../shared/feed'
import ShowScreen from './ShowScreen.vue'

const frame = shallowRef<ShowFrame | null>(null)
const behind = ref(0)
const code = ref('')
const fault = ref('')
const asking = ref(false)
const opened = ref(false)
const feed = useFeed()
const shown = computed(() => opened.value && frame.value !== null)

let looking = false
let again = false
/** One question at a time; what comes meanwhile is asked after it. */
async function look(): Promise<void> {
  if (looking) {
    again = true
    return
  }
  looking = true
  try {
    const answer = await api<{ frame: ShowFrame; now: string }>('GET', '/show/frame')
    behind.value = Date.parse(answer.now) - Date.now()
    frame.value = answer.frame
    opened.value = true
  } catch (e) {
    // Without a network the last picture stays; a code that has ended leads to the door.
    if (e instanceof ApiFault && e.status === 410) end()
    else if (!opened.value) throw e
  } finally {
    looking = false
    if (again) {
      again = false
      void look()
    }
  }
}
function end(): void {
  opened.value = false
  frame.value = null
  feed.close()
}
const follow = (): void => feed.open('/api/show/live', () => void look())

async function enter(): Promise<void> {
  fault.value = ''
  asking.value = true
  try {
    await api('POST', '/show', { code: code.value })
    await look()
    code.value = ''
    follow()
  } catch (e) {
    fault.value = inWords(e)
  } finally {
    asking.value = false
  }
}
onMounted(async () => {
  await look().catch(() => undefined)
  if (opened.value) follow()
})
onUnmounted(() => feed.close())
</script>

<template>
  <ShowScreen v-if="shown" :frame="frame" :behind="behind" />
  <main v-else id="main" class="mx-auto grid max-w-md gap-4 px-5 py-16">
    <h1 class="text-3xl">For the children</h1>
    <p>
      A second screen shows the pictures of one table. Its code stands at the table under “second screen”.
    </p>
    <form class="grid gap-3" @submit.prevent="enter">
      <label class="font-semibold" for="code">Code</label>
      <input
        id="code"
        v-model="code"
        class="field numeral !text-4xl uppercase tracking-widest"
        autocomplete="off"
        autocapitalize="characters"
        spellcheck="false"
        maxlength="9"
        :aria-invalid="fault !== ''"
        :aria-describedby="fault ? 'code-fault' : undefined"
      />
      <p v-if="fault" id="code-fault" role="alert" class="font-semibold text-paprika">{{ fault }}</p>
      <button type="submit" class="btn btn-main btn-table" :disabled="asking || code.trim() === ''">
        Show
      </button>
    </form>
  </main>
</template>
