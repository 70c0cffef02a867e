/** What this device remembers: the light, the units, and how long a step is. */
export type Units = 'metric' | 'feet'
export type Light = 'daylight' | 'dim'

function kept<T extends string>(name: string, fallback: T): T {
  try {
    return (localStorage.getItem(`libella.${name}`) as T | null) ?? fallback
  } catch {
    return fallback
  }
}

function keep(name: string, value: string): void {
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
}

export const settings = new Settings()
