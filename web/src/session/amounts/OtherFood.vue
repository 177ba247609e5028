<script setup lang="ts">
/** Another food for a line, with no allergy at all: any of its family, and the swaps for its role, each looked at with this group. */
import { Replace } from '@lucide/vue'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ref, shallowRef } from 'vue'
import { type InsteadOf, type InsteadOffer, insteadWords } from '@lea/core/plan'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ line: { line: string; name: string } }>()
const session = useSession()
const found = shallowRef<InsteadOf | null>(null)
const looking = ref(false)

async function look(): Promise<void> {
  looking.value = true
  found.value = await session.insteadOf(props.line.line)
  looking.value = false
}
async function take(offer: InsteadOffer, close: () => void): Promise<void> {
  close()
  await session.choose(offer.decision)
}
async function takeBack(offer: InsteadOffer, close: () => void): Promise<void> {
  close()
  await session.takeBack(offer.decision)
}
</script>

<template>
  <Popover class="relative">
    <PopoverButton
      class="grid size-9 place-items-center rounded-patch border border-ink bg-white"
      title="Another food"
      :aria-label="`Another food instead of ${line.name}`"
      @click="look"
      ><Replace class="size-4" aria-hidden="true"
    /></PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="patch absolute right-0 z-10 mt-1 max-h-[28rem] w-[min(26rem,85vw)] overflow-y-auto border-ink p-3 shadow-lg"
    >
      <p v-if="looking" role="status">Looking at each with this group …</p>
      <template v-else-if="found">
        <h3 class="text-base">{{ insteadWords(found).title }}</h3>
        <p class="text-sm text-soft">{{ insteadWords(found).says }}</p>
        <ul class="mt-2 grid gap-1.5">
          <li v-for="o in found.offers" :key="o.decision.swap">
            <button
              type="button"
              class="w-full rounded-patch border px-2.5 py-1.5 text-left"
              :class="o.chosen ? 'border-2 border-teal' : 'border-line hover:border-ink'"
              :aria-pressed="o.chosen"
              @click="o.chosen ? takeBack(o, close) : take(o, close)"
            >
              <span class="flex flex-wrap justify-between gap-x-3">
                <span class="font-semibold">{{ o.name }}</span>
                <span class="text-sm text-soft">{{ o.amount }}</span>
              </span>
              <span v-for="s in o.notes" :key="s" class="block text-sm">{{ s }}</span>
            </button>
          </li>
        </ul>
      </template>
      <p v-else>There is no such line any more.</p>
    </PopoverPanel>
  </Popover>
</template>
