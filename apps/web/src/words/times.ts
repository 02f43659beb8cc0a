const hours = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const days = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })

/** A moment as the clock on the wall shows it; empty for none. */
export const clock = (moment: string | undefined): string =>
  moment === undefined ? '' : hours.format(new Date(moment))

/** A moment's day in words; empty for none. */
export const day = (moment: string | undefined): string => (moment === undefined ? '' : days.format(new Date(moment)))
