<script setup lang="ts">
/** A packet's words with what was found marked in place; the reasons stand below, one for each mark. */
import { computed } from 'vue'
import { type LabelWord, allergenName, readLabel } from '@lea/core/food'

const props = defineProps<{ text: string }>()
const found = computed(() => readLabel(props.text))

interface Piece {
  text: string
  mark: 'lists' | 'may' | 'ask' | 'claim' | ''
  why: string
}
const markOf = (w: LabelWord): Piece['mark'] =>
  w.id === 'ask' || w.id === 'unknown'
    ? 'ask'
    : w.why.startsWith('in a warning')
      ? 'may'
      : w.why.startsWith('in a claim') || w.why.startsWith('mentioned')
        ? 'claim'
        : 'lists'
const nameOf = (id: string): string =>
  id === 'ask' ? 'ask' : id === 'unknown' ? 'not known' : allergenName(id)

const pieces = computed(() => {
  const out: Piece[] = []
  let at = 0
  for (const w of found.value.words) {
    if (w.start < at) continue
    if (w.start > at) out.push({ text: props.text.slice(at, w.start), mark: '', why: '' })
    const same = found.value.words.filter((o) => o.start === w.start)
    out.push({
      text: props.text.slice(w.start, w.end),
      mark: markOf(w),
      why: `${same.map((o) => nameOf(o.id)).join(', ')}: ${w.why}`,
    })
    at = w.end
  }
  if (at < props.text.length) out.push({ text: props.text.slice(at), mark: '', why: '' })
  return out
})
const LOOK = {
  lists: 'bg-paprika text-white px-0.5 rounded-sm',
  may: 'bg-transparent text-ink border-2 border-paprika px-0.5 rounded-sm',
  ask: 'bg-transparent text-ink border-2 border-dashed border-ink px-0.5 rounded-sm',
  claim: 'bg-transparent text-ink underline decoration-dotted',
  '': '',
}
const names = (ids: readonly string[]): string => ids.map(allergenName).join(', ')
</script>

<template>
  <div>
    <p class="whitespace-pre-wrap leading-7" dir="auto">
      <template v-for="(p, i) in pieces" :key="i"
        ><mark v-if="p.mark" :class="LOOK[p.mark]" :title="p.why">{{ p.text }}</mark
        ><template v-else>{{ p.text }}</template></template
      >
    </p>
    <dl class="mt-3 grid grid-cols-[7.5rem_1fr] gap-x-3 gap-y-1 text-sm" aria-live="polite">
      <dt class="font-bold">Lists</dt>
      <dd>{{ found.contains.length > 0 ? names(found.contains) : 'no allergen word found on this text' }}</dd>
      <template v-if="found.mayContain.length > 0"
        ><dt class="font-bold">May contain</dt>
        <dd>{{ names(found.mayContain) }}</dd></template
      >
      <template v-if="found.extras.length > 0"
        ><dt class="font-bold">Also holds</dt>
        <dd>{{ names(found.extras) }}</dd></template
      >
      <template v-if="found.ask.length > 0"
        ><dt class="font-bold">Ask about</dt>
        <dd>{{ found.ask.join('; ') }}</dd></template
      >
      <template v-if="found.read && found.unknown.length > 0"
        ><dt class="font-bold">Not known to Lea</dt>
        <dd>{{ found.unknown.join('; ') }}: ask about these too</dd></template
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
        <li v-for="(w, i) in found.words" :key="i">
          <bdi>“{{ text.slice(w.start, w.end) }}”</bdi>: {{ nameOf(w.id) }}, {{ w.why }}
        </li>
      </ul>
    </details>
  </div>
</template>
