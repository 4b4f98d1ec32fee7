import type { Schemas } from '../api/client'

/** What its percentage is called, where it has one. */
export const PERCENT: Partial<Record<Schemas['LotView']['form'], { label: string; unit: string }>> = {
  SPIRIT: { label: 'Strength', unit: '% vol' },
  WINE: { label: 'Strength', unit: '% vol' },
  VINEGAR: { label: 'Acidity', unit: '%' },
  GLYCERINE: { label: 'Glycerine in it', unit: '%' },
}
