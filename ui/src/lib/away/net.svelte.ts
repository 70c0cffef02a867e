/** Whether the server answers, as the last question found it. */
class Net {
  /** What shows was given by this device: by its clock, the oldest of it since the server fell silent. */
  away = $state<Date | null>(null)

  heard(): void {
    if (this.away) this.away = null
  }
  silent(since: Date): void {
    if (!this.away || since < this.away) this.away = since
  }
}

export const net = new Net()
