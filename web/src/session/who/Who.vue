<script setup lang="ts">
/** Who comes, where they sit, and which adults are here. */
import { computed, ref } from 'vue'
import { ageBeside } from '@lea/core/craft'
import { LEVEL_WORDS, allergenName, dietName } from '@lea/core/food'
import type { StoredGuest } from '@lea/core/setting'
import { useMats } from '../../parts/mats/useMats'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'
import TableTop from '../../parts/mats/TableTop.vue'
import GuestForm from '../../parts/GuestForm.vue'

const settingStore = useSettingStore()
const session = useSession()
const { matOf } = useMats()
const picked = ref<string | null>(null)
const adding = ref(false)
const says = ref('')

const stored = computed(() => session.stored)
const present = computed(() => [
  ...(stored.value?.children ?? []),
  ...(stored.value?.guests ?? []).map((g) => g.id),
])
const seats = computed(() => {
  const here = new Set(present.value)
  const seated = (stored.value?.seats ?? []).filter((id) => here.has(id))
  return [...new Set([...seated, ...present.value])]
})
const locked = computed(() => session.frozen)

function swapSeats(from: string, to: string): void {
  const next = [...seats.value]
  const a = next.indexOf(from)
  const b = next.indexOf(to)
  if (a < 0 || b < 0) return
  next[a] = to
  next[b] = from
  says.value = `${session.nameOf(from)} and ${session.nameOf(to)} changed places.`
  void session.change({ seats: next })
}
function pick(id: string): void {
  if (locked.value) return
  if (picked.value && picked.value !== id) {
    swapSeats(picked.value, id)
    picked.value = null
  } else picked.value = picked.value === id ? null : id
}
function toggleChild(id: string): void {
  const children = stored.value?.children ?? []
  const next = children.includes(id) ? children.filter((c) => c !== id) : [...children, id]
  void session.change({ children: next })
}
function toggleAdult(id: string): void {
  const adults = stored.value?.adults ?? []
  void session.change({ adults: adults.includes(id) ? adults.filter((a) => a !== id) : [...adults, id] })
}
function addGuest(guest: StoredGuest): void {
  adding.value = false
  void session.change({ guests: [...(stored.value?.guests ?? []), guest] })
}
const planned = (id: string) => session.plan?.children.find((c) => c.id === id)
const ageOf = (id: string): string => planned(id)?.ageText ?? ''
const yearsOf = (id: string): string => {
  const child = planned(id)
  return child ? ageBeside(child.months) : ''
}
const people = computed(() => [
  ...settingStore.children.map((c) => ({ ...c, guest: false })),
  ...(stored.value?.guests ?? []).map((g) => ({ ...g, guest: true })),
])
</script>

<template>
  <section v-if="stored" aria-label="Who comes" class="grid gap-5 md:grid-cols-2">
    <div class="grid content-start gap-4">
      <div class="patch p-4">
        <h2 class="text-xl">The table</h2>
        <p class="mb-2 text-sm text-soft">
          {{
            picked
              ? `Now choose the place for ${session.nameOf(picked)}.`
              : 'Drag a mat, or choose it, then a place.'
          }}
        </p>
        <TableTop
          v-if="seats.length > 0"
          :seats="seats"
          :names="session.nameOf"
          :mats="matOf"
          :pickable="!locked"
          :picked="picked"
          @pick="pick"
          @drop="swapSeats"
        />
        <p v-else class="py-10 text-center text-soft">Nobody yet: tick who comes.</p>
        <p class="sr-only" aria-live="polite">{{ says }}</p>
      </div>
      <div class="patch p-4">
        <h2 class="text-xl">Adults: {{ stored.adults.length }}</h2>
        <ul>
          <li v-for="a in settingStore.adults" :key="a.id" class="border-t border-line py-1.5">
            <label class="flex items-center gap-2"
              ><input
                type="checkbox"
                class="size-5"
                :checked="stored.adults.includes(a.id)"
                :disabled="locked"
                @change="toggleAdult(a.id)"
              /><span class="font-semibold">{{ a.name }}</span
              ><span v-if="a.leads.length > 0" class="text-sm text-soft"
                ><span class="sr-only">leads </span
                ><span v-for="l in a.leads" :key="l" class="ml-1 rounded-sm border border-line px-1"
                  >{{ l }}<span class="sr-only"> </span></span></span
              ><span v-else class="text-sm text-soft">leads neither knives nor heat</span></label
            >
          </li>
        </ul>
      </div>
    </div>
    <div class="grid content-start gap-4">
      <div class="patch p-4">
        <div class="mb-1 flex items-center justify-between gap-3">
          <h2 class="text-xl">Children: {{ present.length }}</h2>
          <button type="button" class="btn" :disabled="locked" @click="adding = true">Add a guest</button>
        </div>
        <p v-if="session.changed" class="mb-2 border-l-4 border-ink pl-3 font-semibold" role="status">
          {{ session.say(session.changed) }}
        </p>
        <p v-if="people.length === 0" class="text-soft">
          No child is on the roster yet.
          <RouterLink class="underline" to="/children">Add children</RouterLink>, or add a guest.
        </p>
        <ul>
          <li v-for="p in people" :key="p.id" class="border-t border-line py-1.5">
            <label class="flex items-start gap-2"
              ><input
                type="checkbox"
                class="mt-0.5 size-5 shrink-0"
                :checked="present.includes(p.id)"
                :disabled="locked"
                @change="
                  p.guest
                    ? session.change({ guests: stored.guests.filter((g) => g.id !== p.id) })
                    : toggleChild(p.id)
                "
              />
              <span
                ><span class="font-semibold">{{ p.nickname }}</span>
                <span class="text-sm text-soft"
                  ><span aria-hidden="true">{{ yearsOf(p.id) }}</span
                  ><span class="sr-only">{{ ageOf(p.id) }}</span
                  >{{ p.guest ? ' · guest' : '' }}</span
                >
                <span
                  v-for="c in p.concerns"
                  :key="c.allergen"
                  class="ml-1 inline-block rounded-sm border border-ink px-1 text-xs"
                >
                  {{ allergenName(c.allergen) }}: {{ LEVEL_WORDS[c.level] }}</span
                ><span
                  v-for="d in p.diets"
                  :key="d"
                  class="ml-1 inline-block rounded-sm border border-line px-1 text-xs"
                  >{{ dietName(d, settingStore.setting?.rules.diets) }}</span
                ></span
              ></label
            >
          </li>
        </ul>
      </div>
    </div>
    <GuestForm v-if="adding" @add="addGuest" @close="adding = false" />
  </section>
</template>
