<script setup lang="ts">
/** The lines of a recipe: food, amount, unit, role. A food Lea does not know is kept, and asked about. */
import { PREPARATIONS, UNIT_IDS, unitOf, type FoodBook, type RecipeLine, type Role } from '@lea/core'
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'

const props = defineProps<{ roles: Role[]; foods: FoodBook }>()
const lines = defineModel<RecipeLine[]>({ required: true })
const known = computed(() => [...props.foods.all].sort((a, b) => a.name.localeCompare(b.name)))
const units = [...UNIT_IDS.filter((u) => !['mm', 'cm', 'in'].includes(u)), 'item']
const unitWord = (id: string): string => (id === 'item' ? 'pieces' : `${unitOf(id).many} (${id})`)

function add(): void {
  const ids = new Set(lines.value.map((l) => l.id))
  let n = lines.value.length + 1
  while (ids.has(`line-${n}`)) n += 1
  lines.value = [...lines.value, { id: `line-${n}`, food: '', amount: '', unit: 'cup_m', role: 'main' }]
}
/** What is typed: the name of a food Lea knows, or free words for one it does not. */
function setFood(line: RecipeLine, text: string): void {
  const words = text.trim().toLowerCase()
  const hit = known.value.find((f) =>
    [f.name, f.plural ?? '', ...f.aliases].some((n) => n.toLowerCase() === words),
  )
  line.food =
    hit?.id ?? (words === '' ? '' : `own:${words.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '')}`)
}
const isKnown = (id: string): boolean => id === '' || known.value.some((f) => f.id === id)
</script>

<template>
  <section aria-labelledby="lines-title">
    <h2 id="lines-title" class="mb-2 text-xl">Lines</h2>
    <datalist id="food-names"><option v-for="f in known" :key="f.id" :value="f.name" /></datalist>
    <ul class="grid gap-2">
      <li
        v-for="(line, i) in lines"
        :key="line.id"
        class="patch grid items-end gap-2 p-3 sm:grid-cols-[2fr_1fr_1fr_1fr_1fr_1.5fr_auto]"
      >
        <label class="text-sm font-semibold"
          >Food
          <input
            class="field mt-1 font-normal"
            list="food-names"
            :value="line.food ? foods.of(line.food).name : ''"
            @change="setFood(line, ($event.target as HTMLInputElement).value)"
          />
          <span v-if="!isKnown(line.food)" class="font-normal text-paprika"
            >Lea does not know it: it will ask for every concern.</span
          ></label
        >
        <label class="text-sm font-semibold"
          >Amount<input v-model="line.amount" class="field mt-1 font-normal" inputmode="decimal"
        /></label>
        <label class="text-sm font-semibold"
          >Unit<select v-model="line.unit" class="field mt-1 font-normal">
            <option v-for="u in units" :key="u" :value="u">{{ unitWord(u) }}</option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Role<select v-model="line.role" class="field mt-1 font-normal">
            <option v-for="r in roles" :key="r" :value="r">{{ r }}</option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Served<select v-model="line.shape" class="field mt-1 font-normal">
            <option :value="undefined">as it is</option>
            <option v-for="(word, code) in PREPARATIONS" :key="code" :value="code">{{ word }}</option>
          </select></label
        >
        <label class="text-sm font-semibold"
          >Prepared by<input v-model="line.prep" class="field mt-1 font-normal" maxlength="120"
        /></label>
        <span class="flex items-center gap-2">
          <label class="flex items-center gap-1 text-sm"
            ><input v-model="line.optional" type="checkbox" class="size-5" />optional</label
          >
          <button
            type="button"
            class="btn"
            :aria-label="`Remove line ${i + 1}`"
            @click="lines = lines.filter((l) => l !== line)"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </span>
      </li>
    </ul>
    <p v-if="lines.length === 0" class="text-soft">No line yet.</p>
    <button type="button" class="btn mt-2" @click="add">Add a line</button>
  </section>
</template>
