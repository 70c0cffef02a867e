/** What this device remembers: the light, the units, and how long a step is. */
export type Units = 'metric' | 'feet'
/** The paper that is usual where these units are. */
export const usualPaper = (units: Units): 'letter' | 'a4' => (units === 'feet' ? 'letter' : 'a4')
export type Light = 'daylight' | 'dim'

/** Something small that this device remembers; the fallback where it does not. */
export function kept<T extends string>(name: string, fallback: T): T {
  try {
    return (localStorage.getItem(`libella.${name}`) as T | null) ?? fallback
  } catch {
    return fallback
  }
}

export function keep(name: string, value: string): void {
  try {
    localStorage.setItem(`libella.${name}`, value)
  } catch {
    // A device that forbids storage forgets; nothing else is lost.
  }
}

class Settings {
  #units = $state<Units>(kept('units', 'metric'))
  #light = $state<Light>(kept('light', 'daylight'))
  #step = $state<number | null>(Number(kept('step', '')) || null)

  get units(): Units {
    return this.#units
  }
  set units(value: Units) {
    this.#units = value
    keep('units', value)
  }
  get light(): Light {
    return this.#light
  }
  set light(value: Light) {
    this.#light = value
    document.documentElement.dataset.light = value
    keep('light', value)
  }
  /** Metres; null while nobody said. */
  get step(): number | null {
    return this.#step
  }
  set step(value: number | null) {
    this.#step = value
    keep('step', String(value ?? ''))
  }
  /** All of it in words, as it goes with a person who is signed in. */
  get told(): Record<string, string> {
    return { units: this.#units, light: this.#light, step: String(this.#step ?? '') }
  }
  /** As a person likes it who just came in; what he never said stays as it is on this device. */
  adopt(told: Record<string, string>): void {
    if (told.units === 'metric' || told.units === 'feet') this.units = told.units
    if (told.light === 'daylight' || told.light === 'dim') this.light = told.light
    if (told.step !== undefined) this.step = Number(told.step) || null
  }
}

export const settings = new Settings()
