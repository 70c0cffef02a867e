/** A plan that can't be laid as it stands: it is no plan of the lesson yet, and is not lost when the step is left. */
import type { Plan } from './plan'

const place = (lesson: string) => `libella.plan.${lesson}`

export function keepDraft(lesson: string, plan: Plan): void {
  localStorage.setItem(place(lesson), JSON.stringify(plan))
}

/** What was left unlaid in a lesson, once: it is then on the page again. */
export function takeDraft(lesson: string): Plan | null {
  const kept = localStorage.getItem(place(lesson))
  localStorage.removeItem(place(lesson))
  return kept === null ? null : (JSON.parse(kept) as Plan)
}
