/** Where the coach is: what the top line says. A page sets it while it stands. */
interface Step {
  words: string
  href?: string
}

class Place {
  trail = $state<Step[]>([])
  invented = $state(false)

  set(trail: Step[], invented: boolean): void {
    this.trail = trail
    this.invented = invented
  }
}

export const place = new Place()
