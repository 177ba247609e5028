<script setup lang="ts">
/** A packet's words with what was found marked in place; the reasons stand below, one for each mark. */
import { computedAsync } from '@vueuse/core'
import { computed } from 'vue'
import { nationOf } from '@lea/core/amount'
import { allergenName } from '@lea/core/food'
import { useSettingStore } from '../../stores/setting'
import { reader } from '../../workers/reader'

const props = defineProps<{ text: string }>()
/** Of the text that was read last: while a newer one is being read, the marks still fit the words that are shown. */
const settingStore = useSettingStore()
const read = computedAsync(
  () =>
    reader().labelPieces(
      props.text,
      settingStore.setting ? nationOf(settingStore.setting.rules).labels : undefined,
    ),
  null,
)
const found = computed(() => read.value?.reading ?? null)
const LOOK = {
  lists: 'bg-paprika text-white px-0.5 rounded-sm',
  may: 'bg-transparent text-ink border-2 border-paprika px-0.5 rounded-sm',
  ask: 'bg-transparent text-ink border-2 border-dashed border-ink px-0.5 rounded-sm',
  claim: 'bg-transparent text-ink underline decoration-dotted',
}
const names = (ids: readonly string[]): string => ids.map(allergenName).join(', ')
</script>

<template>
  <p v-if="!read || !found" role="status" class="text-soft">Reading the words …</p>
  <div v-else>
    <p class="whitespace-pre-wrap leading-7" dir="auto" translate="no">
      <template v-for="(p, i) in read?.pieces ?? []" :key="i"
        ><mark v-if="p.mark" :class="LOOK[p.mark]" :title="p.why">{{ p.text }}</mark
        ><template v-else>{{ p.text }}</template></template
      >
    </p>
    <dl class="mt-3 grid grid-cols-[7.5rem_1fr] gap-x-3 gap-y-1 text-sm" aria-live="polite">
      <dt class="font-bold">Lists</dt>
      <dd>{{ found.contains.length > 0 ? names(found.contains) : 'no allergen word found on this text' }}</dd>
      <template v-if="found.mayContain.length + found.mayExtras.length > 0"
        ><dt class="font-bold">May contain</dt>
        <dd>{{ names([...found.mayContain, ...found.mayExtras]) }}</dd></template
      >
      <template v-if="found.extras.length > 0"
        ><dt class="font-bold">Also holds</dt>
        <dd>{{ names(found.extras) }}</dd></template
      >
      <template v-if="found.ask.length > 0"
        ><dt class="font-bold">Ask about</dt>
        <dd translate="no">{{ found.ask.join('; ') }}</dd></template
      >
      <template v-if="found.read && found.unknown.length > 0"
        ><dt class="font-bold">Not known to Lea</dt>
        <dd>
          <bdi>{{ found.unknown.join('; ') }}</bdi>: ask about these too
        </dd></template
      >
      <template v-if="found.unnamed.length > 0"
        ><dt class="font-bold">By law here</dt>
        <dd class="text-soft">a packet need not name {{ names(found.unnamed) }}</dd></template
      >
      <template v-if="found.conflicts.length > 0"
        ><dt class="font-bold">Conflict</dt>
        <dd>claims to be free from {{ names(found.conflicts) }}, and lists it: the list counts</dd></template
      >
    </dl>
    <p v-if="!found.read" class="mt-2 font-semibold">
      Most of this is in words Lea does not read. Not for a child with an allergy until somebody who reads it
      has.
    </p>
    <details v-if="found.words.length > 0" class="mt-2 text-sm">
      <summary>Why each word is marked</summary>
      <ul class="list-inside list-disc">
        <li v-for="(w, i) in read.whys" :key="i">
          <bdi>“{{ w.words }}”</bdi>: {{ w.why }}
        </li>
      </ul>
    </details>
  </div>
</template>
