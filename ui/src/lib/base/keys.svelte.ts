import { getContext, setContext, untrack } from 'svelte'

/** Keys that work now. A view adds its keys while it stands; `?` shows them all. */
export interface Key {
  /** As `KeyboardEvent.key`; letters in lower case. */
  key: string
  words: string
  run: () => void
}

const SHEET = Symbol('on a sheet')
/** Said by a sheet: keys added by what stands on it work while it is open, and the view's do not. */
export const markSheet = () => setContext(SHEET, true)
/** Whether a component stands on a sheet; asked while it is made. */
export const onSheet = () => getContext<boolean | undefined>(SHEET) ?? false

interface Group<T> {
  title: string
  keys: T
  sheet: boolean
}

class Keys {
  #groups = $state<Group<() => Key[]>[]>([])
  #touched = false

  get groups(): Group<Key[]>[] {
    return this.#groups.map((it) => ({ ...it, keys: it.keys() })).filter((it) => it.keys.length)
  }

  /** Add keys; call what it returns to take them away again. Give it to `$effect`. */
  add(title: string, keys: () => Key[], sheet = false): () => void {
    // Whoever adds keys must not run again because of them.
    untrack(() => (this.#groups = [...this.#groups, { title, keys, sheet }]))
    return () => (this.#groups = this.#groups.filter((it) => it.keys !== keys))
  }

  /** Said when the page was tapped or clicked: what has the focus since was not chosen by keys. */
  touched(): void {
    this.#touched = true
  }

  press(event: KeyboardEvent): void {
    if (event.key === 'Tab') this.#touched = false
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
    const at = event.target as HTMLElement
    const field = at.closest('input, textarea, select')
    if (field && !field.matches('[type=range], [type=checkbox]')) return
    // What a drag or a tap left with the focus keeps its own keys; Enter and the digits are the view's.
    if (field && (event.key === ' ' || event.key.startsWith('Arrow'))) return
    // A sheet that is closing still holds the focus for a moment: a key pressed then is meant for the view.
    // An open sheet whose button lost the focus, because it is busy, has the keys all the same.
    const lost = at === document.body && document.querySelector('[role="dialog"][data-state="open"]')
    const sheet = Boolean(lost || at.closest('[role="dialog"]:not([data-state="closed"])'))
    // Enter and space belong to the button that has the focus, arrows to a slider. Not to one of the view's that was
    // tapped: a pedal's Enter must record the putt, not undo one more because “Undo” was tapped before.
    const own = at.closest(this.#touched && !sheet ? '[role="slider"]' : 'button, a, [role="slider"]')
    if ((event.key === 'Enter' || event.key === ' ') && own) return
    const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
    const here = this.groups.filter((it) => it.sheet === sheet).toReversed()
    const hit = here.flatMap((it) => it.keys).find((it) => it.key === name)
    if (!hit || event.repeat) return
    event.preventDefault()
    hit.run()
  }
}

export const keys = new Keys()

const NAMES: Record<string, string> = { ArrowLeft: '◂', ArrowRight: '▸', Enter: 'Enter', ' ': 'Space', Escape: 'Esc' }

/** A key as printed on its cap. */
export function cap(key: string): string {
  return NAMES[key] ?? key.toUpperCase()
}

/** The sheet of keys and words: opened by its key, and from the guide. */
export const keySheet = $state({ open: false })
