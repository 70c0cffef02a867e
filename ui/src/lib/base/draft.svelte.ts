/**
 * What was entered on a sheet and is not kept yet. It lives as long as this tab: closed by a slip or loaded anew, the sheet
 * shows it again.
 */
export class Draft<T> {
  value = $state() as T
  readonly #place: string
  readonly #first: () => T

  /** `name`: of the sheet; each page keeps its own. Made with a component, for it keeps what changes there. */
  constructor(name: string, first: () => T) {
    this.#place = `libella.draft.${location.pathname} ${name}`
    this.#first = first
    this.value = this.#kept() ?? first()
    $effect(() => {
      const now = JSON.stringify($state.snapshot(this.value))
      try {
        if (now === JSON.stringify(first())) sessionStorage.removeItem(this.#place)
        else sessionStorage.setItem(this.#place, now)
      } catch {
        // A device that forbids storage forgets what was half entered when the page is closed; nothing kept is lost.
      }
    })
  }

  /** Its work is done: the next time the sheet is empty, also one that opens in the same moment. */
  clear(): void {
    this.value = this.#first()
    try {
      sessionStorage.removeItem(this.#place)
    } catch {
      // As above: what forbids storage kept nothing.
    }
  }

  /** Whether something stands there that is not as it began. */
  get begun(): boolean {
    return JSON.stringify($state.snapshot(this.value)) !== JSON.stringify(this.#first())
  }

  #kept(): T | undefined {
    try {
      return (JSON.parse(sessionStorage.getItem(this.#place) ?? 'null') as T | null) ?? undefined
    } catch {
      return undefined
    }
  }
}
