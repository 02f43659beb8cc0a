<script setup lang="ts">
import Dialog from 'primevue/dialog'

defineEmits<{ close: [] }>()
const groups: { name: string; keys: [string, string][] }[] = [
  {
    name: 'Everywhere',
    keys: [
      ['i', 'take in a part'],
      ['r', 'go on with the last run'],
      ['/', 'find a card'],
      ['w', 'next person at the bench'],
      ['?', 'these keys'],
    ],
  },
  {
    name: 'A reading',
    keys: [
      ['0–9 . , - < > ~', 'open the line'],
      ['*', 'step the prefix'],
      ['o', 'over range'],
      ['Enter', 'keep'],
      ['Esc', 'clear the line, leave a question'],
    ],
  },
  {
    name: 'On the bench',
    keys: [
      ['a b c', 'answer the remark that holds'],
      ['Up Down', 'along the path'],
      ['t', 'take again'],
      ['e', 'enter again what was mistyped'],
      ['Backspace', 'undo the last entry'],
      ['x', 'take back an older one'],
      ['s', 'skip'],
      ['n', 'note'],
      ['z', 'zero the leads'],
    ],
  },
  {
    name: 'Cards and units',
    keys: [
      ['0–9', 'find by what was read'],
      ['n', 'a new card, a new meter'],
      ['u', 'take in a file'],
      ['e', 'revise the card'],
      ['y', 'a card like it, a card of what was read'],
      ['1 2', 'the unit ran well, came back'],
      ['Ctrl Z Ctrl Y', 'undo and redo while writing'],
      ['Ctrl Enter', 'publish'],
    ],
  },
  {
    name: 'The part and the kit',
    keys: [
      ['f', 'flip the plug'],
      ['Shift+F', 'turn it'],
      ['k', 'tips or clips'],
      ['v', 'next meter'],
      ['g', 'grounds'],
      ['m', 'mute'],
      ['d', 'decide'],
      ['p', 'print'],
    ],
  },
]
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Keys"
    :style="{ width: '860px', maxWidth: '94vw' }"
    @update:visible="$emit('close')"
  >
    <div class="groups">
      <section v-for="group in groups" :key="group.name">
        <h2>{{ group.name }}</h2>
        <dl>
          <template v-for="[key, words] in group.keys" :key="key"
            ><dt>{{ key }}</dt>
            <dd>{{ words }}</dd></template
          >
        </dl>
      </section>
    </div>
    <p class="muted">
      While a line is open the letters belong to it, and the caps fade. On a focused button Enter and Space are the
      button’s own.
    </p>
  </Dialog>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(360px, 1fr));
  gap: 20px 32px;
  margin-bottom: 16px;
}
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 6px 12px;
  margin-top: 8px;
}
dt {
  font: 500 15px var(--figures);
}
</style>
