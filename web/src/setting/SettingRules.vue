<script setup lang="ts">
/** The rules of the house: where practitioners differ, and this setting has chosen. */
import { computed, ref, watch } from 'vue'
import { type Nation, NATIONS, nationOf } from '@lea/core/amount'
import { EGG_SIZES } from '@lea/core/food'
import { type HouseRules, MEASURING, MEASURING_WORDS } from '@lea/core/plan'

const props = defineProps<{ rules: HouseRules; disabled: boolean }>()
const emit = defineEmits<{ save: [rules: HouseRules] }>()
/** Common practice: waiting for a shared bowl is hard under three. */
const OWN_BOWL_MONTHS = 36
const ZONES = Intl.supportedValuesOf('timeZone')
const draft = ref<HouseRules>({ ...props.rules })
// By content: what is being typed outlives a reload of the setting that changes nothing.
watch(
  () => JSON.stringify(props.rules),
  (text) => (draft.value = { measuring: 'recipe', ...(JSON.parse(text) as HouseRules) }),
  { immediate: true },
)
/** A nation brings its words and units along. */
const nation = computed<Nation>({
  get: () => nationOf(draft.value).id,
  set: (id) =>
    (draft.value = { ...draft.value, nation: id, country: nationOf({ country: 'uk', nation: id }).country }),
})
function setOwnRules(text: string): void {
  const lines = text.split('\n').map((l) => l.trim())
  draft.value.ownRules = lines.filter((l) => l !== '')
}
</script>

<template>
  <section aria-label="House rules">
    <form class="grid gap-3" @submit.prevent="emit('save', draft)">
      <fieldset class="grid gap-3" :disabled="disabled">
        <label class="font-semibold"
          >The group<select v-model="draft.grouping" class="field mt-1 font-normal">
            <option value="together">all together, one bowl</option>
            <option value="groups">small groups, a bowl each</option>
            <option value="own">an own bowl for every child</option>
          </select></label
        >
        <label class="font-semibold"
          >Children to a bowl, at most<input
            v-model.number="draft.groupSize"
            type="number"
            min="1"
            max="12"
            class="field mt-1 font-normal"
        /></label>
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="size-5"
            :checked="(draft.ownUnder ?? 0) > 0"
            @change="
              draft.ownUnder = ($event.target as HTMLInputElement).checked ? OWN_BOWL_MONTHS : undefined
            "
          />an own bowl under three years, whatever the others do</label
        >
        <label class="font-semibold"
          >Knives<select v-model="draft.knives" class="field mt-1 font-normal">
            <option value="soft-first">soft tools first</option>
            <option value="real-early">the real small knife early, adult beside</option>
          </select></label
        >
        <label class="flex items-start gap-2"
          ><input
            type="checkbox"
            class="mt-1 size-5 shrink-0"
            :checked="draft.points === true"
            @change="draft.points = ($event.target as HTMLInputElement).checked || undefined"
          /><span
            >small pointed knives and skewers, an adult beside, for a child that was seen to go alone with the
            tool before</span
          ></label
        >
        <label class="font-semibold"
          >An allergy at the table<select v-model="draft.allergy" class="field mt-1 font-normal">
            <option :value="undefined">one pot for all first: a swap that suits everyone</option>
            <option value="own-bowl">an own bowl first, apart</option>
          </select></label
        >
        <label class="font-semibold"
          >Talk<select v-model="draft.talk" class="field mt-1 font-normal">
            <option :value="undefined">by age: comment under three, ask from three</option>
            <option value="ask">ask more</option>
            <option value="comment">comment more</option>
          </select></label
        >
        <label class="font-semibold"
          >Home languages at the table<select v-model="draft.languages" class="field mt-1 font-normal">
            <option :value="undefined">side by side</option>
            <option value="one-at-a-time">one at a time: of the child whose turn it is</option>
          </select></label
        >
        <label class="font-semibold"
          >Our own rules, one on a line<textarea
            class="field mt-1 font-normal"
            rows="3"
            :value="(draft.ownRules ?? []).join('\n')"
            placeholder="Peel stays on. No raw dough is tasted."
            @change="setOwnRules(($event.target as HTMLTextAreaElement).value)"
          />
        </label>
        <label class="font-semibold"
          >Most scoops for one ingredient<input
            v-model.number="draft.maxScoops"
            type="number"
            min="1"
            max="60"
            class="field mt-1 font-normal"
        /></label>
        <label class="font-semibold"
          >Measuring<select v-model="draft.measuring" class="field mt-1 font-normal">
            <option v-for="m in MEASURING" :key="m" :value="m">{{ MEASURING_WORDS[m] }}</option>
          </select></label
        >
        <label class="font-semibold"
          >Eggs in the box<select v-model="draft.eggSize" class="field mt-1 font-normal">
            <option :value="undefined">as usual in the country</option>
            <option v-for="e in EGG_SIZES" :key="e.size" :value="e.size">
              {{ e.size }}, {{ e.edible }} g each, beaten
            </option>
          </select></label
        >
        <label class="font-semibold"
          >Country, for limits, ratios, labels and money<select
            v-model="nation"
            class="field mt-1 font-normal"
          >
            <option v-for="n in NATIONS" :key="n.id" :value="n.id">{{ n.name }}</option>
          </select></label
        >
        <label class="font-semibold"
          >Time zone, for what is today<select v-model="draft.zone" class="field mt-1 font-normal">
            <option :value="undefined">as the server has it</option>
            <option v-for="z in ZONES" :key="z" :value="z">{{ z.replace(/_/g, ' ') }}</option>
          </select></label
        >
        <button type="submit" class="btn btn-main justify-self-start">Save the rules</button>
      </fieldset>
    </form>
  </section>
</template>
