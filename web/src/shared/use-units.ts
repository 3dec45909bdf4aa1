import { printQuantity, type QuantityKind, type UnitSystem } from '@hervir/language';
import { useCallback } from 'react';
import { useSettings } from '../api/queries';

/** The cook's units, and how to print in them. */
export function useUnits(): { system: UnitSystem; print: (kind: QuantityKind, value: number) => string } {
  const system = useSettings().data?.units ?? 'metric';
  const print = useCallback((kind: QuantityKind, value: number) => printQuantity(kind, value, system), [system]);
  return { system, print };
}
