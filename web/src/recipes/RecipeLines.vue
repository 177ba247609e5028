<script setup lang="ts">
/** The lines of a recipe: food, amount, unit, role. A food Lea does not know is kept, and asked about. */
import {
  type System,
  UNIT_IDS,
  leadingNumber,
  parseRatio,
  plainNumbers,
  toMixed,
  unitLabel,
  unitWord,
} from '@lea/core/amount'
import { type FoodBook, preparationChoices } from '@lea/core/food'
import {
  type RecipeLine,
  type Role,
  SMALL_PARTS,
  amountFromField,
  amountInField,
  lineFromText,
  withSize,
} from '@lea/core/recipe'
import { Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import FoodForm from '../parts/foods/FoodForm.vue'
import { useFaultAt } from '../parts/useAttempt'

const props = defineProps<{ roles: Role[]; foods: FoodBook; system: System; serves: number }>()
const lines = defineModel<RecipeLine[]>({ required: true })
const known = computed(() => [...props.foods.all].sort((a, b) => a.name.localeCompare(b.name)))
const units = [...UNIT_IDS.filter((u) => !['mm', 'cm', 'in'].includes(u)), 'item']

/** A unit of a line that was read in may be a count word (tin, clove). */
const unitsFor = (unit: string): string[] => (units.includes(unit) ? units : [...units, unit])

function freeId(): string {
  const ids = new Set(lines.value.map((l) => l.id))
  let n = lines.value.length + 1
  while (ids.has(`line-${n}`)) n += 1
  return `line-${n}`
}
function add(): void {
  lines.value = [...lines.value, { id: freeId(), food: '', amount: '', unit: 'cup_m', role: 'main' }]
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
/** "1 1/2 tsp" fills amount and unit; what cannot be read stays as it is typed, with the fault beside it. */
const faults = ref<Record<string, string>>({})
function setAmount(line: RecipeLine, text: string): void {
  const keep = (typed: string): string => (line.amount = amountFromField(typed, line.each, props.serves))
  keep(text)
  const others = Object.fromEntries(Object.entries(faults.value).filter(([id]) => id !== line.id))
  faults.value = others
  try {
    const number = leadingNumber(plainNumbers(text))
    const unit = number && unitWord(number.rest.trim(), props.system)
    if (number && unit && !number.upTo) {
      keep(toMixed(number.amount.mul(unit.times)))
      line.unit = unit.unit
    } else if (text.trim() !== '') parseRatio(text)
  } catch (e) {
    faults.value = { ...others, [line.id]: e instanceof Error ? e.message : String(e) }
  }
}
/** What is in the field stays there, and means another thing. */
function setEach(line: RecipeLine, each: boolean): void {
  const typed = amountInField(line, props.serves)
  line.each = each || undefined
  if (!each) delete line.sizes
  line.amount = amountFromField(typed, each, props.serves)
}
/** The small have a part of it. */
const setSize = (line: RecipeLine, below: string, part: string): void => {
  const now = withSize(line, below === '' ? null : Number(below), part)
  lines.value = lines.value.map((l) => (l === line ? now : l))
}
const printed = ref('')
const printedFault = ref('')
const printedSays = ref('')
function addPrinted(): void {
  printedFault.value = ''
  printedSays.value = ''
  try {
    const { line, says } = lineFromText(printed.value, props.system, props.foods, {
      serves: props.serves,
    })
    lines.value = [...lines.value, { ...line, id: freeId() }]
    printedSays.value = [`Added: ${props.foods.of(line.food).name}.`, ...says].join(' · ')
    printed.value = ''
  } catch (e) {
    printedFault.value = `The line ${e instanceof Error ? e.message : String(e)}.`
  }
}
const at = useFaultAt()
/** A food that Lea does not know, being said what it is. */
const settling = ref<{ food: string; name: string } | null>(null)
const isKnown = (id: string): boolean => id === '' || known.value.some((f) => f.id === id)
</script>

<template>
  <section aria-labelledby="lines-title">
    <h2 id="lines-title" class="mb-2 text-xl">Lines</h2>
    <datalist id="food-names"><option v-for="f in known" :key="f.id" :value="f.name" /></datalist>
    <ul class="grid gap-2">
      <li v-for="(line, i) in lines" :key="line.id" class="patch grid items-end gap-2 p-3 sm:grid-cols-12">
        <label class="min-w-0 text-sm font-semibold sm:col-span-5"
          >Food
          <input
            class="field mt-1 font-normal"
            list="food-names"
            v-bind="at(`lines[${i}].food`)"
            :value="line.food ? foods.of(line.food).name : ''"
            @change="setFood(line, ($event.target as HTMLInputElement).value)"
          />
          <span v-if="!isKnown(line.food)" class="font-normal text-paprika"
            >Lea does not know it: it will ask for every concern.</span
          ></label
        >
        <button
          v-if="!isKnown(line.food)"
          type="button"
          class="btn self-end sm:order-last sm:col-span-4"
          @click="settling = { food: line.food, name: foods.of(line.food).name }"
        >
          Say what it is
        </button>
        <label class="min-w-0 text-sm font-semibold sm:col-span-2"
          >Amount<input
            class="field mt-1 font-normal"
            :value="amountInField(line, serves)"
            v-bind="at(`lines[${i}].amount`)"
            :aria-invalid="faults[line.id] || at(`lines[${i}].amount`)['aria-invalid'] ? 'true' : undefined"
            @change="setAmount(line, ($event.target as HTMLInputElement).value)"
          /><span v-if="faults[line.id]" role="alert" class="font-semibold text-paprika">{{
            faults[line.id]
          }}</span></label
        >
        <label class="min-w-0 text-sm font-semibold sm:col-span-3"
          >Unit<select v-model="line.unit" class="field mt-1 font-normal">
            <option v-for="u in unitsFor(line.unit)" :key="u" :value="u">{{ unitLabel(u) }}</option>
          </select></label
        >
        <label class="min-w-0 text-sm font-semibold sm:col-span-2"
          >Role<select v-model="line.role" class="field mt-1 font-normal">
            <option v-for="r in roles" :key="r" :value="r">{{ r }}</option>
          </select></label
        >
        <label class="min-w-0 text-sm font-semibold sm:col-span-4"
          >Served<select v-model="line.shape" class="field mt-1 font-normal">
            <option :value="undefined">as it is</option>
            <option v-for="p in preparationChoices(line.shape)" :key="p.code" :value="p.code">
              {{ p.words }}
            </option>
          </select></label
        >
        <label class="min-w-0 text-sm font-semibold sm:col-span-5"
          >Prepared by<input v-model="line.prep" class="field mt-1 font-normal" maxlength="120"
        /></label>
        <label
          class="min-w-0 text-sm font-semibold sm:col-span-3"
          title="Which one of this food: red, from our tree"
          >Variety<input v-model="line.variety" class="field mt-1 font-normal" maxlength="30"
        /></label>
        <span class="flex flex-wrap items-center gap-x-4 gap-y-2 sm:col-span-12">
          <label class="flex items-center gap-1 text-sm"
            ><input v-model="line.optional" type="checkbox" class="size-5" />optional</label
          >
          <label
            class="flex items-center gap-1 text-sm"
            title="The amount is one child’s: everybody measures their own"
            ><input
              type="checkbox"
              class="size-5"
              :checked="line.each"
              @change="setEach(line, ($event.target as HTMLInputElement).checked)"
            />for each child</label
          >
          <span v-if="line.each" class="flex flex-wrap items-center gap-3 text-sm">
            <label class="flex items-center gap-1"
              ><span class="whitespace-nowrap">Smaller under</span
              ><select
                class="field !w-auto"
                :value="line.sizes?.[0]?.below ?? ''"
                @change="
                  setSize(line, ($event.target as HTMLSelectElement).value, line.sizes?.[0]?.part ?? '1/2')
                "
              >
                <option value="">no age</option>
                <option v-for="y in [2, 3, 4, 5, 6]" :key="y" :value="12 * y">{{ y }} years</option>
              </select></label
            >
            <label v-if="line.sizes" class="flex items-center gap-1"
              >Part<select
                class="field !w-auto"
                :value="line.sizes[0]?.part"
                @change="
                  setSize(
                    line,
                    String(line.sizes?.[0]?.below ?? ''),
                    ($event.target as HTMLSelectElement).value,
                  )
                "
              >
                <option v-for="p in SMALL_PARTS" :key="p" :value="p">{{ p }}</option>
              </select></label
            >
          </span>
          <button
            type="button"
            class="btn ml-auto"
            :aria-label="`Remove line ${i + 1}`"
            @click="lines = lines.filter((l) => l !== line)"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </span>
      </li>
    </ul>
    <p v-if="lines.length === 0" class="text-soft">No line yet.</p>
    <div class="mt-3 flex flex-wrap items-end gap-2">
      <label class="min-w-64 flex-1 text-sm font-semibold"
        >A line as it is printed
        <input
          v-model="printed"
          class="field mt-1 font-normal"
          placeholder="1 ½ cups plain flour, sifted"
          maxlength="400"
          :aria-invalid="printedFault ? 'true' : undefined"
          :aria-describedby="printedFault ? 'printed-fault' : undefined"
          @keydown.enter.prevent="addPrinted"
      /></label>
      <button type="button" class="btn" @click="addPrinted">Read it in</button>
      <button type="button" class="btn" @click="add">Add an empty line</button>
    </div>
    <p v-if="printedFault" id="printed-fault" role="alert" class="mt-1 font-semibold text-paprika">
      {{ printedFault }}
    </p>
    <p v-if="printedSays" role="status" class="mt-1 text-sm">{{ printedSays }}</p>
    <FoodForm v-if="settling" :food="settling" @kept="settling = null" @close="settling = null" />
  </section>
</template>
