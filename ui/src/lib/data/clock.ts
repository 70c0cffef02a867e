/**
 * The server's clock, as far as answers tell it: what is written down here must not lie in the future there, however
 * wrong this device's own clock is.
 */
let ahead_ms = 0
const NOTICED_MS = 2000

/** An answer came, asked for at `asked` by this device's clock: its date tells how far the clocks differ. */
export function hear(answer: Response, asked: number): void {
  const told = Date.parse(answer.headers.get('date') ?? '')
  if (!Number.isFinite(told)) return
  const now = Date.now()
  // The date is cut to whole seconds; an answer long on its way tells too little.
  if (now - asked > NOTICED_MS) return
  const difference = told + 500 - (asked + now) / 2
  ahead_ms = Math.abs(difference) > NOTICED_MS ? difference : 0
}

/** This moment, by the server's clock. */
export function stamp(): string {
  return new Date(Date.now() + ahead_ms).toISOString()
}
