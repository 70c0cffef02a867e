/** Numbers as a coach types them: with a real minus, a comma, or the unit behind them. */

/** NaN where no number was typed. */
export function typedNumber(text: string): number {
  return Number(text.trim().replace('−', '-').replace(',', '.').replace(/[°%]/, ''))
}

/** To two places: as finely as a slope is worth telling. */
export const hundredths = (value: number): number => Math.round(value * 100) / 100
