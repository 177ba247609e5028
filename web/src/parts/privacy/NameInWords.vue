<script setup lang="ts">
/** Words that somebody typed and in which a name stands: listed, and blanked where the owner says so. */
import { onMounted, ref, shallowRef } from 'vue'
import { countText } from '@lea/core/amount'
import { WORDS_IN, type WordsIn } from '@lea/core/setting'
import { api, inWords } from '../../shared/api'
import { dayText } from '../../shared/dates'

interface NamePlace {
  of: WordsIn
  id: string
  text: string
  date: string | null
  title: string
}
/** `name`: looked for at once, of somebody who was erased; without it one is typed. */
const props = defineProps<{ name?: string }>()
const typed = ref(props.name ?? '')
/** The name that the list is of. */
const looked = ref('')
const places = shallowRef<NamePlace[]>([])
const chosen = ref<number[]>([])
const says = ref('')
const busy = ref(false)

async function attempt(work: () => Promise<void>): Promise<void> {
  busy.value = true
  says.value = ''
  try {
    await work()
  } catch (e) {
    says.value = inWords(e)
  } finally {
    busy.value = false
  }
}
const look = (): Promise<void> =>
  attempt(async () => {
    const name = typed.value.trim()
    const answer = await api<{ places: NamePlace[] }>('POST', '/keeping/words', { name })
    looked.value = name
    places.value = answer.places
    // What is cooked from, and what a card says, may mean something else by the word: chosen one by one.
    chosen.value = answer.places.flatMap((p, i) => (p.of === 'event' || p.of === 'session' ? [i] : []))
  })
const blank = (): Promise<void> =>
  attempt(async () => {
    const list = chosen.value.flatMap((i) => places.value[i] ?? [])
    const answer = await api<{ blanked: number }>('POST', '/keeping/words/blank', {
      name: looked.value,
      places: list.map(({ of, id, text }) => ({ of, id, text })),
    })
    await look()
    says.value = `Blanked in ${countText(answer.blanked, 'text')}.`
  })
onMounted(() => {
  if (props.name) void look()
})
</script>

<template>
  <section aria-label="A name in written words">
    <form v-if="!name" class="flex flex-wrap items-end gap-3" @submit.prevent="look">
      <label class="font-semibold"
        >Name<input
          v-model="typed"
          required
          minlength="2"
          maxlength="40"
          autocomplete="off"
          class="field mt-1 block !w-56 font-normal"
      /></label>
      <button type="submit" class="btn" :disabled="busy">Look for it</button>
    </form>
    <p v-if="busy && !looked" role="status" class="mt-2">Looking through what was written …</p>
    <template v-if="looked">
      <p v-if="places.length === 0" role="status" class="mt-2">
        “{{ looked }}” stands in nothing that was written here. A table that is at work is looked through when
        it is over; letters to the whole group are not.
      </p>
      <form v-else class="mt-2" @submit.prevent="blank">
        <p class="mb-1">
          “{{ looked }}” stands in {{ countText(places.length, 'text') }}. Blank it where it means that child:
        </p>
        <ul>
          <li v-for="(p, i) in places" :key="`${p.of}${p.id}${p.text}`" class="border-t border-line py-1.5">
            <label class="flex gap-3">
              <input v-model="chosen" type="checkbox" class="mt-1 size-5 shrink-0" :value="i" />
              <span
                >{{ p.text }}
                <span class="block text-sm text-soft"
                  >{{ WORDS_IN[p.of] }}{{ p.title ? `, ${p.title}` : ''
                  }}{{ p.date ? `, ${dayText(p.date)}` : '' }}</span
                ></span
              >
            </label>
          </li>
        </ul>
        <button type="submit" class="btn btn-main mt-2" :disabled="busy || chosen.length === 0">
          Blank it in {{ countText(chosen.length, 'text') }}
        </button>
      </form>
    </template>
    <p v-if="says" role="status" class="mt-2 font-semibold">{{ says }}</p>
  </section>
</template>
