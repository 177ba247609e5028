<script setup lang="ts">
/** Somebody else saved this card meanwhile: both are shown, difference by difference, before anything is saved over it. */
import { computed, onMounted, ref } from 'vue'
import { type StoredChild, cardDifferences } from '@lea/core/setting'
import { dietName } from '@lea/core/food'
import { useSettingStore } from '../stores/setting'

const props = defineProps<{ theirs: StoredChild; mine: Omit<StoredChild, 'id'> }>()
const emit = defineEmits<{ theirs: []; mine: [] }>()
const settingStore = useSettingStore()
const box = ref<HTMLElement | null>(null)
// It stands at the foot of a long form: whoever pressed Save is brought to it.
onMounted(() => {
  box.value?.scrollIntoView({ block: 'center' })
  box.value?.focus()
})
const rows = computed(() =>
  cardDifferences(props.theirs, props.mine, (d) => dietName(d, settingStore.setting?.rules.diets ?? [])),
)
</script>

<template>
  <section
    ref="box"
    tabindex="-1"
    role="alert"
    class="patch border-paprika p-3"
    aria-labelledby="card-conflict"
  >
    <h3 id="card-conflict" class="text-lg">Somebody else has changed this card meanwhile</h3>
    <p class="text-sm">Nothing is saved yet, and nothing you wrote is lost.</p>
    <table class="mt-2 w-full text-left text-sm">
      <thead>
        <tr>
          <th scope="col" class="p-1">What</th>
          <th scope="col" class="p-1">On the card now</th>
          <th scope="col" class="p-1">As you wrote it</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.field" class="border-t border-line align-top">
          <th scope="row" class="p-1">{{ r.name }}</th>
          <td class="p-1">{{ r.theirs }}</td>
          <td class="p-1">{{ r.mine }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0">Both say the same.</p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn" @click="emit('theirs')">Take the card as it is now</button>
      <button type="button" class="btn" @click="emit('mine')">Save mine over it</button>
    </div>
  </section>
</template>
