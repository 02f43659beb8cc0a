<script setup lang="ts">
import { complaintIds, type Card, type ComplaintId } from '@sure-spool/core'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import PlugFace from '../drawings/PlugFace.vue'
import { heldWords, holdPlug } from '../drawings/plugLayout'
import VerdictMark from '../drawings/VerdictMark.vue'
import { cautionFoot, cautionWords, complaintWords } from '../words/kinds'
import { plugLabel } from '../words/points'

/** A card's plugs as they are held, what its complaints point at, and the care it wants. */
const props = defineProps<{ card: Card; hold: { flipped: boolean; turns: number } }>()
const complaints = computed(() => {
  const one = props.card
  return one.hints.flatMap((hint) =>
    typeof hint.when === 'string' && (complaintIds as readonly string[]).includes(hint.when)
      ? [
          {
            when: hint.when as ComplaintId,
            text: hint.text,
            suspects: hint.suspects.map(named),
            clears: (hint.clears ?? []).map(named),
          },
        ]
      : [],
  )
})
const named = (id: string) => props.card.windings.find((winding) => winding.id === id)?.label ?? id
</script>

<template>
  <aside class="left" aria-label="The part" tabindex="0">
    <section>
      <template v-for="plug in card.plugs" :key="plug.id">
        <PlugFace :card="card" :plug="plug" :flipped="hold.flipped" :turns="hold.turns" />
        <p class="seen muted">{{ plugLabel(card, plug) }}: {{ heldWords(holdPlug(plug, hold.flipped, hold.turns)) }}</p>
      </template>
      <ScreenKey quiet act="flip" />
    </section>
    <section v-if="complaints.length > 0">
      <h2 class="label">Owner says</h2>
      <dl>
        <template v-for="hint in complaints" :key="hint.when"
          ><dt>{{ complaintWords[hint.when] }}</dt>
          <dd>
            <span v-for="one in hint.suspects" :key="one"
              ><VerdictMark mark="flagged" :size="12" label="suspected" /> {{ one }}</span
            ><span v-for="one in hint.clears" :key="one"
              ><VerdictMark mark="done" :size="12" label="cleared" /> {{ one }}</span
            >
          </dd></template
        >
      </dl>
    </section>
    <section>
      <h2 class="label">Care</h2>
      <p>{{ card.care.isolate.join(' ') }}</p>
      <p>
        <strong class="n">{{ card.care.maxTestVolts }}</strong> V at most, windings to frame.
      </p>
      <p v-for="caution in card.care.cautions" :key="caution">{{ cautionWords[caution] }}</p>
      <p class="muted">{{ cautionFoot }}</p>
    </section>
  </aside>
</template>

<style scoped>
.left {
  background: var(--panel);
  border-right: 1px solid var(--hairline);
  overflow: auto;
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.left section {
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 12px;
  display: grid;
  gap: 6px;
}
.seen {
  font-size: 15px;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
dt {
  margin-top: 6px;
}
dd {
  display: grid;
  gap: 2px;
  color: var(--muted);
}
dd span {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
