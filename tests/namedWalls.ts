import { inches } from '~/length'
import {
  type Design,
  type Settings,
  startingDesign,
  startingSettings,
  type Survey,
  type Workpiece,
} from '~/model'

/** Builds a wall for a test: a plain one, changed where the test says so. */
export function wallOf(
  survey: Partial<Survey> = {},
  design: Partial<Design> = {},
  settings: Partial<Settings> = {},
): Workpiece {
  return {
    wall: {
      survey: { version: 1, width: inches(131), height: inches(95), baseboard: null, crown: null, ...survey },
      design: { ...startingDesign(), ...design },
    },
    settings: { ...startingSettings('inches', '1/16'), ...settings },
  }
}

export const keptBase = (height: number) =>
  ({ height: inches(height), thickness: inches(0.5), fate: 'keep' }) as const
