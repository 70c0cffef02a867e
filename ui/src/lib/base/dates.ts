/** Dates as a coach says them. */
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/** "12 Oct", with the year when it is not this one; "today" for today. */
export function day(iso: string): string {
  const at = new Date(iso)
  const now = new Date()
  if (at.toDateString() === now.toDateString()) return 'today'
  return (at.getFullYear() === now.getFullYear() ? DAY : YEAR).format(at)
}

/** "14:05" */
export function clock(iso: string): string {
  return CLOCK.format(new Date(iso))
}

/** "today 14:05", "12 Oct 14:05" */
export function moment(iso: string): string {
  return `${day(iso)} ${clock(iso)}`
}
