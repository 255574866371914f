import { FieldError, within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** Fluid in a box whose level is what stands below an overflow. */
export interface Overflow {
  litresInBox: number
  temperatureC: number
  /** Between these the level is set. */
  windowC: [low: number, high: number]
  /** By how much of its volume it grows with each degree. */
  expansionPerK?: number
  /** What was filled in beyond the level, in ml. */
  overfillMl?: number
}

export interface OverflowLevel {
  verdict: 'too-cold' | 'right' | 'too-hot'
  /** What runs out at the overflow: too cold, by the time it is warm enough; right, now; too hot, now, and more than should. In ml. */
  spillMl: number
  because: string
}

/** Of a mineral or synthetic gear fluid, 0.0008 to 0.001 a degree. Common practice, no source. */
const EXPANSION_PER_K = 0.0009

/**
 * The level of a box that overflows: at the wrong temperature the right level is the wrong amount. ΔV = V β ΔT, with ΔT from the nearest
 * edge of the window (definition of the expansion of a volume).
 * @throws FieldError on the field at fault
 */
export function overflowLevel({
  litresInBox,
  temperatureC,
  windowC: [low, high],
  expansionPerK = EXPANSION_PER_K,
  overfillMl = 0,
}: Overflow): OverflowLevel {
  within('litresInBox', litresInBox, 0.1, 200, 'What is in the box, in litres')
  within('temperatureC', temperatureC, -40, 200, 'The temperature in °C')
  within('windowC[0]', low, -40, 200, 'Where the window begins, in °C')
  within('windowC[1]', high, -40, 200, 'Where the window ends, in °C')
  if (high <= low) throw new FieldError('windowC', 'The window ends above where it begins.')
  within('expansionPerK', expansionPerK, 0.0001, 0.01, 'The expansion')
  within('overfillMl', overfillMl, 0, 20_000, 'What was filled in beyond, in ml')
  const grownMl = (kelvin: number) => litresInBox * 1000 * expansionPerK * kelvin
  const ml = (value: number) => quantity(value, 'ml', 0)
  if (temperatureC < low) {
    const more = grownMl(low - temperatureC)
    return {
      verdict: 'too-cold',
      spillMl: overfillMl + more,
      because: `At ${quantity(temperatureC, '°C', 0)} it is too cold to be set: by ${quantity(low, '°C', 0)} it grows by ${ml(more)}. Leave the plug in and warm it.`,
    }
  }
  if (temperatureC > high) {
    const more = grownMl(temperatureC - high)
    return {
      verdict: 'too-hot',
      spillMl: overfillMl + more,
      because: `At ${quantity(temperatureC, '°C', 0)} it is too hot to be set: ${ml(more)} too much would run out, and it ends up short by that. Let it cool.`,
    }
  }
  return {
    verdict: 'right',
    spillMl: overfillMl,
    because:
      overfillMl > 0
        ? `It is in its window: let ${ml(overfillMl)} run out until it only drips, and close it.`
        : 'It is in its window: when it only drips at the overflow it is right.',
  }
}
