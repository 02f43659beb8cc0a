<script setup lang="ts">
import type { Card, Roles } from '@sure-spool/core'
import { computed } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useFigures } from '../words/figures'
import { roleWords } from '../words/roles'

/** What the readings say each terminal is: a relay's blades, three pins against each construction, wires that belong together. */
const props = defineProps<{ roles: Roles[]; card: Card }>()
const figures = useFigures()
const told = computed(() => props.roles.map((one) => roleWords(one, props.card, figures)))
</script>

<template>
  <section v-for="one in told" :key="one.title" class="roles">
    <h2 class="label">{{ one.title }}</h2>
    <dl>
      <div v-for="line in one.lines" :key="line.name" :class="{ no: line.fits === false }">
        <dt :class="{ marked: line.fits !== undefined }">
          <VerdictMark v-if="line.fits !== undefined" :mark="line.fits ? 'done' : 'none'" :size="13" />
          <span>{{ line.name }}</span>
        </dt>
        <dd>{{ line.text }}</dd>
      </div>
    </dl>
    <p v-if="one.foot" class="muted">{{ one.foot }}</p>
  </section>
</template>

<style scoped>
.roles {
  container-type: inline-size;
  display: grid;
  gap: 4px;
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 10px;
}
dl {
  display: grid;
  gap: 4px;
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: minmax(0, 150px) minmax(0, 1fr);
  gap: 10px;
}
/* in a narrow column what it is stands under its name */
@container (max-width: 250px) {
  dl > div {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
dt {
  font-weight: 600;
}
dt.marked {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
  gap: 6px;
  align-items: start;
}
dd {
  margin: 0;
}
.no dt {
  font-weight: 400;
}
</style>
