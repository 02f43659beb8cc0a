<script setup lang="ts">
import type { CardRow } from '@sure-spool/contract'
import { complaintIds, type History } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import CountField from '../fields/CountField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { complaintWords, historyWords } from '../words/kinds'
import CardChoice from './CardChoice.vue'
import { familySaid } from './said'
import SketchFields from './SketchFields.vue'
import { takeInKeys } from './queueKeys'
import { mostAtOnce, mostItems, useTakingIn } from './useTakingIn'

/** Takes a part in: card, tag, condition, complaint, words. Enter goes from one to the next and keeps at the end. */
defineProps<{ startWith?: string }>()
const emit = defineEmits<{ done: [id: string | null, tray?: string] }>()
const text = ref('')
const panel = ref<HTMLElement>()
const form = useTakingIn((id, tray) => emit('done', id, tray))
const { card, sketch, variants, tag, serial, variant, history, complaint, words } = form
const { cardItems, items, typedItems, count, typedCount, problem, ready, tray } = form
const histories = (['used', 'new', 'rewound'] satisfies History[]).map((value) => ({
  value,
  label: historyWords[value],
}))
const complaints = complaintIds.map((value) => ({ value, label: complaintWords[value] }))
const variantChoices = computed(() => [
  { value: '', label: 'not said' },
  ...variants.value.map(({ id, label }) => ({ value: id, label })),
])

/** A list that closes takes the focus back to its own field first. */
const listClosed = () => nextTick().then(() => new Promise((resolve) => setTimeout(resolve)))

async function choose(row: CardRow): Promise<void> {
  const chosen = form.choose(row)
  await listClosed()
  const field = panel.value?.querySelector<HTMLInputElement>('.tag-field input')
  field?.focus()
  field?.select()
  await chosen
}
async function measureFirst(): Promise<void> {
  form.measureFirst(text.value)
  await listClosed()
  panel.value?.querySelector<HTMLInputElement>('[data-sketch] input')?.select()
}
const noCard = () => (problem.value = 'No card fits these words. Try fewer of them, or measure it first.')

/** Enter goes on to the next field, and from the last takes the part in; in a list that is open it chooses. */
function goOn(event: KeyboardEvent): void {
  const { target } = event
  if (event.key !== 'Enter' || event.ctrlKey || !(target instanceof HTMLElement) || target instanceof HTMLButtonElement)
    return
  if (target.getAttribute('aria-expanded') === 'true') return
  event.preventDefault()
  event.stopPropagation()
  const fields = [...(panel.value?.querySelectorAll<HTMLElement>('[data-onward] :is(input, [role="combobox"])') ?? [])]
  const at = fields.indexOf(target)
  const next = at < 0 ? undefined : fields[at + 1]
  if (next) next.focus()
  else form.keep()
}
/** What lies on the tray by now is taken in, whether or not another follows. */
const leave = () => emit('done', null, tray.value?.id)
async function more(): Promise<void> {
  if (!form.keepAndMore()) return
  text.value = ''
  await nextTick()
  panel.value?.querySelector<HTMLInputElement>('#in-card')?.focus()
}
useScreenKeys(takeInKeys, () => 'takingIn', { keep: () => form.keep(), more, leave })
</script>

<template>
  <section
    ref="panel"
    class="take-in"
    aria-label="Take in a part"
    @keydown.capture="goOn"
    @keydown.esc="!$event.defaultPrevented && leave()"
  >
    <div class="who" data-onward>
      <h2>{{ tray ? 'Another on the tray' : 'Take in a part' }}</h2>
      <p v-if="tray" class="muted" role="status">Beside {{ tray.tags.join(', ') }}.</p>
      <CardChoice
        v-model="text"
        :start-with="startWith"
        @choose="choose"
        @none="measureFirst"
        @unchoose="form.unchoose"
        @nothing="noCard"
      />
      <SketchFields v-if="sketch" v-model="sketch" />
      <p v-else-if="card" class="chosen">
        <strong>{{ card.maker }} {{ card.model }}</strong
        >, {{ familySaid(card) }}
      </p>
    </div>
    <div class="rest">
      <TextField v-model="tag" class="tag-field" data-onward label="tag" />
      <TextField v-model="serial" data-onward label="serial, if it has one" />
      <PickField v-model="history" data-onward label="condition" :options="histories" />
      <PickField v-model="complaint" data-onward label="complaint" :options="complaints" />
      <PickField
        v-if="variants.length > 0 && card"
        v-model="variant"
        data-onward
        label="which of them"
        :options="variantChoices"
      />
      <CountField
        v-if="cardItems !== undefined && card"
        v-model="items"
        v-model:typed="typedItems"
        label="how many in it"
        :min="1"
        :max="mostItems"
      />
      <CountField v-model="count" v-model:typed="typedCount" label="how many alike" :min="1" :max="mostAtOnce" />
      <TextField v-model="words" class="wide" data-onward label="in their own words" :longest="2000" />
    </div>
    <div class="act">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p class="muted">Enter goes from field to field, and from the last takes it in.</p>
      <ScreenKey main act="keep" :disabled="!ready" />
      <ScreenKey quiet act="more" :disabled="!ready" />
      <ScreenKey act="leave" />
    </div>
  </section>
</template>

<style scoped>
.take-in {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) auto;
  gap: 24px;
  padding: 14px 20px;
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
.who {
  display: grid;
  gap: 6px;
  align-content: start;
}
.rest {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) minmax(0, 1.3fr);
  gap: 8px 16px;
  align-content: start;
}
.rest .wide {
  grid-column: span 3;
}
.act {
  display: flex;
  flex-direction: column;
  gap: 8px;
  justify-content: flex-end;
  max-width: 220px;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
@media (max-width: 900px) {
  .take-in {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
  .rest {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .rest .wide {
    grid-column: 1 / -1;
  }
  .act {
    max-width: none;
    flex-flow: row wrap;
  }
  .act p {
    flex-basis: 100%;
  }
}
</style>
