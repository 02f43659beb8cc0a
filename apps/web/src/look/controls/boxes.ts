import checkbox from '@primeuix/themes/aura/checkbox'
import inputnumber from '@primeuix/themes/aura/inputnumber'
import radiobutton from '@primeuix/themes/aura/radiobutton'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import textarea from '@primeuix/themes/aura/textarea'
import togglebutton from '@primeuix/themes/aura/togglebutton'
import { dress } from './dress'

/** The controls that are ticked, counted or written into. */
dress({ checkbox, radiobutton, selectbutton, togglebutton, inputnumber, textarea })

/** Passed through to `Checkbox` and `RadioButton`: large enough for a thumb. */
export const boxParts = { root: { class: 'tick-box' } }
