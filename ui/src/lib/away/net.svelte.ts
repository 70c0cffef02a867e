/** Answers of whoever stands before the server while it is away: nobody said anything of what was asked. */
export const NOBODY: ReadonlySet<number> = new Set([502, 503, 504])

/** Whether the server answers, as the last question found it. */
class Net {
  /** Nobody answered the last question. */
  gone = $state(false)
  /** What shows was given by this device: the oldest of it since the server fell silent, by its clock. */
  asOf = $state<Date | null>(null)

  heard(): void {
    if (!this.gone) return
    this.gone = false
    this.asOf = null
  }
  silent(since?: Date): void {
    this.gone = true
    if (since && (!this.asOf || since < this.asOf)) this.asOf = since
  }
}

export const net = new Net()
