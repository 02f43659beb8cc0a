import autocomplete from '@primeuix/themes/aura/autocomplete'
import chip from '@primeuix/themes/aura/chip'
import multiselect from '@primeuix/themes/aura/multiselect'
import select from '@primeuix/themes/aura/select'
import virtualscroller from '@primeuix/themes/aura/virtualscroller'
import { dress } from './dress'

/** The controls that open a list. */
dress({ select, multiselect, autocomplete, virtualscroller, chip })

/** Focus traps that only catch the keyboard are nothing to a screen reader, and must not be hidden from it with a label. */
const trap = { 'aria-hidden': null }

/** Passed through to `Select`: its list carries our classes, its traps no false names. */
export const selectParts = {
  root: { class: 'pick' },
  overlay: { class: 'pick-list' },
  hiddenFirstFocusableEl: trap,
  hiddenLastFocusableEl: trap,
}

/** Passed through to `AutoComplete`; its button is named for who cannot see it. */
export const findParts = {
  root: { class: 'pick' },
  overlay: { class: 'pick-list' },
  pcInputText: { root: { class: 'pick-text', autocomplete: 'off' } },
  dropdown: { 'aria-label': 'show all' },
}

/** Passed through to `MultiSelect`; the boxes show what is chosen and are not to be reached by themselves. */
export const manyParts = {
  root: { class: 'pick' },
  overlay: { class: 'pick-list' },
  hiddenFirstFocusableEl: trap,
  hiddenLastFocusableEl: trap,
  pcOptionCheckbox: { input: { disabled: true, 'aria-hidden': true, style: 'pointer-events: none' } },
}
